# frozen_string_literal: true

module Server
  module Queries
    # Which sheets sister units have, class by class, and how many units have each sheet: a line a class, however large the fleet.
    class CircuitsByClass
      # So many units of a class are named; the list of units has them all.
      NAMED = 12
      # unit_class: nil for units of none; total: of its units in service; units: the first of them by number; sheets: how many of them
      # have each version
      Row = Struct.new(:unit_class, :total, :units, :sheets, keyword_init: true)

      # @return [Array<Row>] by name, units of no class last
      def rows
        by_class = fitted.group_by { |row| row[:unit_class_id] }
        units = named.group_by { |row| row[:unit_class_id] }
        by_class.map { |id, sheets| row(classes[id], units.fetch(id, []), sheets) }
                .sort_by { |row| [row.unit_class ? 0 : 1, row.unit_class&.label.to_s] }
      end

      # @return [Hash{String => Integer}] how many units in service have each version, by its id
      def units_by_version = fitted.group_by { |row| row[:version_id] }.transform_values { |rows| rows.sum { |row| row[:count] } }

      # @return [Hash{String => Models::SheetVersion}] those that some unit has, by id
      def versions = @versions ||= Models::SheetVersion.where(id: fitted.map { |row| row[:version_id] }.uniq).eager(:sheet).as_hash(:id)

      private

      def row(unit_class, units, sheets)
        counts = sheets.to_h { |one| [versions.fetch(one[:version_id]), one[:count]] }.sort_by { |version, _| version.title }.to_h
        Row.new(unit_class: unit_class, total: units.first&.fetch(:total) || 0, units: units, sheets: counts)
      end

      # SQL: select unit_class_id, version_id, count(*) from unit_sheet join unit ... where upper_inf(during) and retired_at is null
      #      group by unit_class_id, version_id
      def fitted
        @fitted ||= in_service.group(Sequel[:unit][:unit_class_id], Sequel[:unit_sheet][:version_id])
                              .select { |o| [o.unit[:unit_class_id], o.unit_sheet[:version_id], o.count.function.*.as(:count)] }.all
      end

      # SQL: select * from (select id, number, name, unit_class_id, row_number() over (partition by unit_class_id order by number) as place,
      #      count(*) over (partition by unit_class_id) as total from unit where retired_at is null) as numbered where place <= 12
      def named
        numbered = Models::Unit.standing(false).select(:id, :number, :name, :unit_class_id).select_append do |o|
          [o.row_number.function.over(partition: :unit_class_id, order: :number).as(:place),
           o.count.function.*.over(partition: :unit_class_id).as(:total)]
        end
        DB.from(numbered.naked.as(:numbered)).where { place <= NAMED }.order(:number).all
      end

      def in_service
        Models::UnitSheet.current.join(:unit, id: Sequel[:unit_sheet][:unit_id]).where(Sequel[:unit][:retired_at] => nil).naked
      end

      def classes = @classes ||= Models::UnitClass.all.to_h { |one| [one.id, one] }
    end
  end
end
