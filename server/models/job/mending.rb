# frozen_string_literal: true

module Server
  module Models
    class Job < Sequel::Model(:job)
      # What was mended, what was disturbed to get there, what was condemned.
      module Mending
        # @param input [Hash] of Contracts::NewRepair
        # @return [Job]
        def record_repair(input, by:)
          refuse_unless_open!
          check_element(input)
          check_failing_reading(input[:failing_reading_id])
          repair = Repair.create(**input.except(:disturbed, :unit), **unit_columns(input[:unit]), job_id: id, person_id: by.id,
                                                                                                  made_at: Sequel.function(:clock_timestamp))
          input.fetch(:disturbed, []).reject(&:empty?).each do |what|
            Disturbance.create(id: SecureRandom.uuid, job_id: id, repair_id: repair.id, what: what)
          end
          StartThreshold.work_out(Unit.with_pk!(unit_id))
          UnitStanding.work_out([unit_id])
          self
        end

        # @param input [Hash] of Contracts::NewDisturbance
        # @return [Job]
        def note_disturbance(input)
          refuse_unless_open!
          Disturbance.create(job_id: id, **input)
          self
        end

        # @param input [Hash] of Contracts::NewCondemnation
        # @return [Job]
        # @raise [Wattomneum::RefusedError] if the ladder is not complete and no lead overrides it
        def condemn(input, by:)
          refuse_unless_open!
          suspect = input[:unit] || input[:element]
          ladder = assessment.ladders.find { |one| one.suspect == suspect && one.position == input[:position] }
          if ladder.nil?
            raise Refusals::InvalidInput.new('No such suspect on this unit',
                                             fields: { 'element' => ['not on this unit'] })
          end

          unless ladder.complete? || input[:override_reason]
            raise Wattomneum::RefusedError,
                  "#{ladder.label} is not proved bad: #{Wattomneum::Wording.inside(ladder.missing.label)} is missing"
          end

          return self if condemned_this_round?(input)

          Condemnation.create(id: input[:id], job_id: id, person_id: by.id, element: input[:element], **unit_columns(input[:unit]),
                              position: input[:position], override_reason: input[:override_reason], battery_id: fitted_battery_id(input[:position]),
                              ladder: Sequel.pg_jsonb(ladder.rungs.map(&:to_h)))
          self
        end

        private

        # Said twice, by two people or a second tap, it is condemned once; after a repair it is another part.
        def condemned_this_round?(input)
          last_repair = Repair.where(job_id: id).max(:made_at)
          known = Condemnation.where(job_id: id, element: input[:element], repair_unit: input[:unit], position: input[:position])
          known = known.where { at > last_repair } if last_repair
          known.any?
        end

        # What of the circuit it is: its key for the rules, its parts and wires for ever, its name for people.
        def unit_columns(key)
          return {} if key.nil?

          unit = circuit_here.machine!.repair_units.fetch(key)
          { repair_unit: unit.key, item_uuids: Sequel.pg_array(unit.item_uuids, :uuid), label: unit.label }
        rescue Wattomneum::UnknownKeyError => e
          raise Refusals::InvalidInput.new(e.message, fields: { 'unit' => ['not on this unit'] })
        end

        def check_element(input)
          return if input[:element].nil?

          system = Unit.with_pk!(unit_id).core_system
          fits = Wattomneum::Units::Parts.known(system).any? { |part| part.key == input[:element] }
          unless fits
            raise Refusals::InvalidInput.new('This unit has no such part',
                                             fields: { 'element' => ['not on this unit'] })
          end
          return unless input[:element] == 'battery' && !system.positions.include?(input[:position])

          raise Refusals::InvalidInput.new('Say which battery', fields: { 'position' => ['say which battery'] })
        end

        def check_failing_reading(reading_id)
          return if reading_id.nil? || Reading.where(id: reading_id, job_id: id).any?

          raise Refusals::InvalidInput.new('That reading is not of this job',
                                           fields: { 'failing_reading_id' => ['not of this job'] })
        end

        def fitted_battery_id(position)
          position && Fitting.current.where(unit_id: unit_id, position: position).get(:battery_id)
        end
      end
    end
  end
end
