# frozen_string_literal: true

module Server
  module Models
    # What one unit is like by its newest standing readings: a line of the board. A row that can be worked out anew at any time; written with what
    # changes it, so that nothing is worked out when somebody looks.
    class UnitStanding < Sequel::Model(:unit_standing)
      unrestrict_primary_key
      # Units that whoever writes to one of them may wait for, less than a second.
      AT_ONCE = 50
      private_constant :AT_ONCE

      class << self
        # @param unit_ids [Array<String>]
        # @return [Integer] how many rows were written
        def work_out(unit_ids)
          unit_ids.uniq.sort.each_slice(AT_ONCE).sum do |ids|
            db.transaction do
              Unit.one_after_another(ids)
              limits = Queries::FleetRules.new.limits
              keep(Unit.where(id: ids).order(:id).map { |unit| { unit_id: unit.id, **facts(unit, limits), worked_out_at: Time.now.utc } })
            end
          end
        end

        private

        # SQL: insert into unit_standing (...) values (...), (...) on conflict (unit_id) do update set ... = excluded...
        def keep(rows)
          return 0 if rows.empty?

          update = (rows.first.keys - [:unit_id]).to_h { |name| [name, Sequel[:excluded][name]] }
          dataset.insert_conflict(target: :unit_id, update: update).multi_insert(rows)
          rows.size
        end

        def facts(unit, limits)
          system = unit.core_system
          { **Batteries.of(unit), **Charging.of(unit, system, limits), **StartPath.of(unit, system), **GroundWork.of(unit, limits),
            **Faults.of(unit), **Rounds.of(unit) }
        end
      end
    end
  end
end
