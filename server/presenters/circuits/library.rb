# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # All circuit sheets, and which classes of units have which.
      module Library
        # @param versions [Array<Models::SheetVersion>] the newest of each
        # @param by_class [Queries::CircuitsByClass]
        # @param unanswered [Array<Queries::UnansweredStops::Row>]
        def self.call(versions, by_class, unanswered)
          { will_not_stop: unanswered.map(&:to_h),
            sheets: versions.sort_by(&:title).map { |version| line(version, by_class.units_by_version.fetch(version.id, 0)) },
            classes: by_class.rows.map { |row| class_row(row) } }
        end

        def self.class_row(row)
          { id: row.unit_class&.id, label: row.unit_class&.label || 'Of no class', count: row.total,
            units: row.units.map { |unit| unit.slice(:id, :number, :name) },
            sheets: row.sheets.map { |version, count| line(version, count) } }
        end

        def self.line(version, count) = { **SheetLine.call(version), units: count }
        private_class_method :class_row, :line
      end
    end
  end
end
