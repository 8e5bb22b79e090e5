# frozen_string_literal: true

module Wattomneum
  module Faults
    # One next step at a time, in the order of work: see it fail, look, batteries, connections, cranking, charging;
    # mend what is convicted; prove it by the reading that failed; put back; close.
    class NextStep
      # Suspects with a proof ladder: not to be replaced before it is climbed.
      LADDERED = %w[starter alternator battery].freeze
      CHARGE_MINUTES = 30
      UNPROVED = %w[missing void].freeze
      private_constant :CHARGE_MINUTES, :UNPROVED

      # @param assessment [Assessment]
      def initialize(assessment)
        @assessment = assessment
        @system = assessment.system
      end

      # @return [Step]
      def call
        prove || mend || (@assessment.repairs.any? && finish) || order_of_work || nothing_found
      end

      private

      attr_reader :assessment, :system

      def behaviour = assessment.reading('cranking_behaviour')&.observation
      def starting? = assessment.family == 'starting'
      def cured? = starting? ? behaviour == 'normal' : charging_cured?

      def charging_cured?
        assessment.judgement('charging_fast_idle')&.sound? || assessment.judgement('charging_loaded')&.sound?
      end

      # -- proving a repair

      def prove
        proof = assessment.proofs.find { |one| UNPROVED.include?(one.state) }
        return if proof.nil?

        test = proof.before.test
        companion = missing_companion(test)
        return measure(companion, why: 'What flows decides what the proving drop is worth') if companion

        Step.new(kind: 'prove', test_key: test.key, position: proof.before.position, minutes: test.minutes,
                 failing_reading_id: proof.before.id, element: proof.repair.element,
                 title: "Prove it: #{test.label.downcase}#{at_position(proof.before.position)}",
                 why: "It showed the fault at #{proof.before.spoken}: same points, same state")
      end

      # A proving drop is worth nothing unless it is known what the engine did.
      def missing_companion(test)
        return unless test.state == 'cranking' && test.key != 'cranking_behaviour'

        needs = ['cranking_behaviour']
        needs << 'posts_cranking' if %w[solenoid_signal starter_terminal].include?(test.key)
        needs.find { |key| assessment.reading(key).nil? }
      end

      # -- mending what is convicted

      def mend
        element, position, judgement = conviction
        return if element.nil?
        return climb(element, position) if LADDERED.include?(element)

        repair(element, position, judgement.summary, judgement.reading_id)
      end

      def conviction
        convictions = assessment.current_judgements.select { |one| one.act? && one.usable? && one.weight != 'hint' }
        pairs = convictions.flat_map { |one| one.convicts.map { |key| [key, position_of(one, key), one] } }
        pairs.reject { |key, position, one| repaired_since?(key, position, one) }
             .min_by { |key, _, _| Systems::Places::ELEMENTS.index { |element| element.key == key } }
      end

      def position_of(judgement, element)
        element == 'battery' ? reading_by_id(judgement.reading_id).position : nil
      end

      def reading_by_id(id) = assessment.readings.find { |reading| reading.id == id }

      def repaired_since?(element, position, judgement)
        taken_in = reading_by_id(judgement.reading_id).round
        assessment.repairs.drop(taken_in).any? { |made| made.element == element && made.position == position }
      end

      def climb(element, position)
        ladder = assessment.ladders.find { |one| one.suspect == element && one.position == position }
        return climb_rung(ladder) unless ladder.complete?

        failing = failing_reading_for(element, position)
        Step.new(kind: 'condemn', element: element, position: position, minutes: Systems::Places.element(element).access_minutes,
                 failing_reading_id: failing&.id, title: "#{ladder.label} is proved bad: replace or repair it",
                 why: ['Every rung of its ladder is climbed', bank_advice(element, position)].compact.join('. '))
      end

      def bank_advice(element, position)
        assessment.bank_review.advice(position) if element == 'battery' && system.bank?
      end

      def climb_rung(ladder)
        rung = ladder.rungs.find { |one| one.state == 'open' }
        return if rung.nil?

        test_key = rung.tests.first
        measure(test_key, position: rung.position || (per_battery?(test_key) ? untested_position(test_key) : nil),
                          why: "#{ladder.label} is suspected; this rung of its proof is open: #{rung.label.downcase}")
      end

      def per_battery?(test_key) = Readings::Catalogue.fetch(test_key).per_battery?

      def untested_position(test_key)
        system.positions.find { |position| !settled?(test_key, position) } || system.positions.first
      end

      def failing_reading_for(element, position)
        judgement = assessment.current_judgements.find do |one|
          one.act? && one.convicts.include?(element) && position_of(one, element) == position
        end
        judgement && reading_by_id(judgement.reading_id)
      end

      def repair(element, position, why, reading_id)
        part = Systems::Places.element(element)
        Step.new(kind: 'repair', element: element, position: position, minutes: part.access_minutes, why: why,
                 failing_reading_id: reading_id, title: "Mend: #{part.label.downcase}")
      end

      # -- after a repair

      def finish
        return unless assessment.proofs.all? { |proof| proof.state == 'proved' }
        return unless cured? || seen_again
        return seen_again unless cured?
        return put_back if assessment.disturbed_count.positive?

        Step.new(kind: 'close', minutes: 1, title: 'Close the job',
                 why: 'The failing reading is sound and nothing is left off')
      end

      def seen_again
        key = starting? ? 'cranking_behaviour' : 'charging_fast_idle'
        return if assessment.reading(key)

        measure(key, why: 'The part is proved; now see that the complaint is gone')
      end

      def put_back
        Step.new(kind: 'put_back', minutes: 5, title: 'Put back what was disturbed',
                 why: "#{assessment.disturbed_count} still off or open")
      end

      # -- the order of work

      def order_of_work
        seen || batteries || (starting? ? StartingOrder : ChargingOrder).new(assessment, self).call
      end

      def seen
        key = starting? ? %w[cranking_behaviour connections_look] : %w[charge_lamp_key_on belt_look connections_look]
        missing = key.find { |test| assessment.reading(test).nil? }
        missing && measure(missing,
                           why: missing.end_with?('look') ? 'Eyes and hands before the meter' : 'See it fail before anything is touched')
      end

      def batteries
        system.positions.each do |position|
          step = charge_of(position) || health_of(position)
          return step if step
        end
        nil
      end

      def charge_of(position)
        judgement = assessment.judgement('hydrometer',
                                         position: position) || assessment.judgement('rest_voltage', position: position)
        return if judgement&.convicts&.include?('battery')
        return measure('rest_voltage', position: position, why: 'A weak battery makes every other reading lie') if
          judgement.nil? || !judgement.usable?
        return if judgement.sound?

        Step.new(kind: 'charge', position: position, test_key: 'rest_voltage', minutes: CHARGE_MINUTES,
                 title: "Charge battery #{position}, then read it again", why: judgement.summary)
      end

      def health_of(position)
        return if settled?('battery_test', position) || settled?('load_test', position)

        measure('battery_test', position: position, why: 'A weak battery makes every other reading lie')
      end

      def settled?(test_key, position) = assessment.judgement(test_key, position: position)&.usable?

      def nothing_found
        Step.new(kind: 'watch', minutes: 0, title: 'Nothing wrong found: park it with what is known',
                 why: 'Every test in the order of work is sound. A fault that comes and goes is not closed by one good start')
      end

      public

      # @param test_key [String]
      # @param why [String]
      # @param position [String, nil]
      # @return [Step] of kind measure
      def measure(test_key, why:, position: nil)
        test = Readings::Catalogue.fetch(test_key)
        Step.new(kind: 'measure', test_key: test_key, position: position, minutes: test.minutes, why: why,
                 title: "#{test.label}#{at_position(position)}")
      end

      private

      def at_position(position) = position ? ", battery #{position}" : ''
    end
  end
end
