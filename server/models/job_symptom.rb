# frozen_string_literal: true

module Server
  module Models
    # What a job is about, as a statement on the unit's circuit.
    class JobSymptom < Sequel::Model(:job_symptom)
      class << self
        # @param said [Hash] of Contracts::Symptom
        # @param unit_id [String]
        # @return [Hash] of columns
        # @raise [Refusals::InvalidInput] if the unit's circuit has no such thing, or it never works in that situation
        def columns(said, unit_id)
          row = Wattomneum::Faults::OrdersOfWork.fetch(said[:work])
          refuse_without(row, Unit.with_pk!(unit_id).core_system)
          seen = way(row, said[:seen])
          return { work: row.key, item_uuid: nil, label: '', situation: row.situation, seen: seen } unless row.along_paths?

          thing = thing_on(unit_id, said[:part])
          { work: thing.work, item_uuid: thing.item_uuid, label: thing.label, seen: seen,
            situation: situation(thing, said[:situation], stays_on: said[:seen] == 'stays_on') }
        end

        private

        # A job about starting needs a starter, one about charging a battery.
        def refuse_without(row, system)
          return if row.along_paths? || (row.loop == 'start' ? system.starter? : system.battery?)

          missing = row.loop == 'start' ? 'starter' : 'battery'
          refuse('work', "This unit has no #{missing}: say what of its circuit does not work instead", "needs a #{missing}")
        end

        # @raise [Refusals::InvalidInput] if nothing of the kind fails so
        def way(row, key)
          way = key ? row.way(key) : row.said(nil)
          return way.key if way

          refuse('seen', "\"#{row.words}\" is one of: #{row.ways.map(&:choice).join(', ')}. Choose how it fails",
                 "one of #{row.ways.map(&:key).join(', ')}")
        end

        def thing_on(unit_id, part)
          things = Queries::UnitCircuits.new(unit_id).complaints
          things.find { |thing| thing.part == part } ||
            refuse('part', 'Choose what does not work: this unit\'s circuit has nothing of that name that should', 'not on this unit')
        end

        # Where it works by its circuit, or, where it stays on, where it should be off.
        def situation(thing, asked, stays_on:)
          refuse('part', 'That it does not start is a complaint about starting', 'say it as starting') if thing.of_loop && !stays_on
          known = (stays_on ? thing.off_in : thing.situations).map(&:key)
          return asked || known.first if known.any? && (asked.nil? || known.include?(asked))

          does = stays_on ? 'is on' : 'does not work'
          refuse('situation', "By its circuit #{thing.label} #{does} in that state: choose another", "one of #{known.join(', ')}")
        end

        def refuse(field, sentence, short)
          raise Refusals::InvalidInput.new(sentence, fields: { "symptom.#{field}" => [short] })
        end
      end

      # @param said [Hash] of Contracts::Symptom
      # @return [Boolean] whether it is the same: what is not changed is not looked up again
      def says?(said) = said[:part].nil? && said[:work] == work && (said[:seen].nil? || said[:seen] == seen)

      # @param circuit [Queries::JobCircuit]
      # @return [Wattomneum::Jobs::Symptom]
      def to_core(circuit)
        Wattomneum::Jobs::Symptom.new(work: work, situation: situation, seen: seen, part: item_uuid && (circuit.part_id(item_uuid) || label))
      end
    end
  end
end
