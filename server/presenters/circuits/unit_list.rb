# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # The sheets of a unit, what conflicts in them, and what was ruled.
      module UnitList
        # @param circuits [Queries::UnitCircuits]
        def self.call(circuits)
          open = circuits.conflicts.to_h { |conflict| [conflict.key, conflict] }
          { time_zone: circuits.time_zone,
            sheets: circuits.fitted.map { |one| SheetLine.call(one.version, fitted: one) },
            conflicts: open.values.map { |conflict| conflict_row(conflict, circuits) },
            local_truth: circuits.rulings.values.reject { |ruling| open.key?(ruling.conflict_key) }
                                 .map { |ruling| Conflict.ruling_row(ruling, circuits.names[ruling.person_id]) } }
        end

        def self.conflict_row(conflict, circuits)
          ruling = circuits.rulings[conflict.key]
          Conflict.call(conflict, ruling, ruling && circuits.names[ruling.person_id])
        end
        private_class_method :conflict_row
      end
    end
  end
end
