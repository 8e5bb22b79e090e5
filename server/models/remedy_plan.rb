# frozen_string_literal: true

module Server
  module Models
    # What will be done for a unit before a dawn, as it was ticked in the evening.
    class RemedyPlan < Sequel::Model(:remedy_plan)
      unrestrict_primary_key

      class << self
        # One tick, so that two who tick, and two ticks that waited for a network, do not undo each other.
        #
        # @param unit [Unit]
        # @param input [Hash] of Contracts::EveningPlan
        # @param by [Account]
        # @param now [Time]
        # @return [void]
        # @raise [Refusals::InvalidInput] for a dawn that is not the coming one
        def tick(unit, input, by:, now:)
          refuse_other_dawns([[unit, input[:dawn]]], now)
          row = { unit_id: unit.id, **input.slice(:dawn, :key) }
          input[:planned] ? dataset.insert_conflict.insert(**row, person_id: by.id) : where(row).delete
        end

        # All of them, or none where one cannot be.
        #
        # @param ticks [Array<Hash>] unit_id, dawn and key
        # @param by [Account]
        # @param now [Time]
        # @raise [Refusals::InvalidInput] for a dawn that is not the coming one, or a unit that is not on record
        def tick_all(ticks, by:, now:)
          units = Unit.where(id: ticks.map { |tick| tick[:unit_id] }).as_hash(:id)
          if ticks.any? { |one| !units.key?(one[:unit_id]) }
            raise Refusals::InvalidInput.new('One of these units is not on record', fields: { 'ticks' => ['unknown unit'] })
          end

          refuse_other_dawns(ticks.map { |one| [units.fetch(one[:unit_id]), one[:dawn]] }, now)
          rows = ticks.map { |one| { **one.slice(:unit_id, :dawn, :key), person_id: by.id } }
          dataset.insert_conflict.multi_insert(rows.sort_by { |row| row.values_at(:unit_id, :key) })
        end

        # @param unit_ids [Array<String>]
        # @param dawns [Array<Date>]
        # @return [Hash{Array(String, Date) => Array<String>}] keys by unit and dawn
        def of(unit_ids, dawns)
          where(unit_id: unit_ids, dawn: dawns).order(:key).select_map(%i[unit_id dawn key])
                                               .group_by { |unit_id, dawn, _| [unit_id, dawn] }.transform_values { |rows| rows.map(&:last) }
        end

        private

        def refuse_other_dawns(planned, now)
          coming = Night.dawns(now)
          return if planned.all? { |unit, dawn| dawn == coming.fetch(unit.yard_id) }

          raise Refusals::InvalidInput.new('Only the coming night can be planned: ask for tonight anew',
                                           fields: { 'dawn' => ['is not the coming one'] })
        end
      end
    end
  end
end
