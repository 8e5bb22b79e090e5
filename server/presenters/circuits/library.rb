# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # All circuit sheets, and the units that have some.
      module Library
        # @param versions [Array<Models::SheetVersion>] the newest of each
        # @param units [Hash{Models::Unit => Array<Models::UnitSheet>}]
        def self.call(versions, units)
          { sheets: versions.sort_by(&:title).map { |version| SheetLine.call(version) },
            units: units.map { |unit, fitted| unit_row(unit, fitted) } }
        end

        def self.unit_row(unit, fitted)
          { id: unit.id, number: unit.number, name: unit.name,
            sheets: fitted.sort_by { |one| one.version.title }.map { |one| SheetLine.call(one.version, fitted: one) } }
        end
        private_class_method :unit_row
      end
    end
  end
end
