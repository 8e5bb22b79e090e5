# frozen_string_literal: true

module Server
  module Presenters
    # A page of units, and what the list can be narrowed to.
    module UnitList
      # @param result [Queries::UnitList::Result]
      def self.call(result)
        limits = Queries::FleetRules.new.limits
        lines = result.units.map { |unit| { **UnitLine.call(unit), standing: Standing.call(unit.values, limits) } }
        { units: lines, after: result.after, count: result.total, yards: result.yards,
          classes: result.classes.map { |row| { **row, label: "#{row[:make]} #{row[:model]}" } } }
      end
    end
  end
end
