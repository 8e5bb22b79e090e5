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
        usable(along_paths || prove || mend || (@assessment.repairs.any? && finish) || order_of_work) || nothing_found
      end

      private

      attr_reader :assessment, :system

      def behaviour = assessment.reading('cranking_behaviour')&.observation
      def starting? = assessment.symptom.work == 'starting'
      def cured? = starting? ? behaviour == 'normal' : charging_cured?

      def charging_cured?
        assessment.judgement('charging_fast_idle')&.sound? || assessment.judgement('charging_loaded')&.sound?
      end

      # What was read last and could not be used is not asked for again as it was: the step says what would make it count. Twice in
      # vain, and it goes on without it.
      def usable(step)
        return step unless step&.test_key && %w[measure prove repeat].include?(step.kind)

        judgement = assessment.judgement(step.test_key, position: step.position)
        return step if judgement.nil? || (step.kind == 'prove' ? judgement.sound? : counts?(judgement))
        return step unless last_taken?(step)

        Step.new(**step.to_h, kind: step.kind == 'prove' ? 'prove' : 'repeat', title: "Once more, so that it counts: #{step.title}",
                              why: [judgement.summary, judgement.instead].compact.join('. '))
      end

      def last_taken?(step)
        last = assessment.readings.last
        last.test_key == step.test_key && last.position == step.position
      end

      # What somebody found between two points of his own choice is mended and proved like everything else.
      def along_paths = assessment.paths&.readings&.any? || assessment.repairs.any?(&:unit) ? assessment.paths.aside : nil

      # -- proving a repair

      def prove
        proof = assessment.proofs.find { |one| !one.along_circuit? && UNPROVED.include?(one.state) && !proved_in_vain?(one.before) }
        return if proof.nil?

        test = proof.before.test
        companion = missing_companion(test)
        return measure(companion, why: 'What flows decides what the proving drop is worth') if companion

        Step.new(kind: 'prove', test_key: test.key, position: proof.before.position, minutes: test.minutes,
                 failing_reading_id: proof.before.id, element: proof.repair.element,
                 title: "Prove it: #{Wording.inside(test.label)}#{at_position(proof.before.position)}",
                 why: "It showed the fault at #{proof.before.spoken}: same points, same state")
      end

      # On watch or of no use twice running: it stays owed, and the work goes on.
      def proved_in_vain?(before)
        same = [assessment.round, before.test_key, before.position]
        taken = assessment.readings.select { |one| [one.round, one.test_key, one.position] == same }
        taken.size > 1 && taken.last(2).none? { |one| assessment.judgements.fetch(one.id).sound? }
      end

      # A proving drop is worth nothing unless it is known what the engine did.
      def missing_companion(test)
        return unless test.state == 'cranking' && test.key != 'cranking_behaviour'

        needs = ['cranking_behaviour']
        needs << 'posts_cranking' if %w[solenoid_signal starter_terminal].include?(test.key)
        needs.find { |key| assessment.reading(key).nil? }
      end

      # -- mending what is convicted

      def mend = by_its_coil || mend_convicted

      # Called with full volts and silent.
      def by_its_coil
        ladder = assessment.ladders.find { |one| one.is_a?(StarterLadder) && one.by_its_coil? }
        return if ladder.nil? || mended_in_vain?('starter', nil) || assessment.reading('cranking_behaviour')&.observation != 'silent'

        climb('starter', nil)
      end

      def mend_convicted
        convicted.lazy.filter_map do |element, position, judgement|
          LADDERED.include?(element) ? climb(element, position) : repair(element, position, judgement.summary, judgement.reading_id)
        end.first
      end

      # What is convicted, in loop order.
      def convicted
        pairs = failures.reject { |one| reading_by_id(one.reading_id).test.along_circuit? }
                        .flat_map { |one| one.convicts.map { |key| [key, position_of(one, key), one] } }
        pairs.reject { |key, position, one| repaired_since?(key, position, one) || mended_in_vain?(key, position) }
             .sort_by { |key, _, _| Units::Parts::ALL.index { |part| part.key == key } }
      end

      # What fails by more than a hint.
      def failures = assessment.current_judgements.select { |one| one.act? && one.usable? && one.weight != 'hint' }

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
        Step.new(kind: 'condemn', element: element, position: position, minutes: Units::Parts.fetch(element).minutes,
                 failing_reading_id: failing&.id, title: "#{ladder.label} is proved bad: replace or repair it",
                 why: ['Every rung of its ladder is climbed', bank_advice(element, position)].compact.join('. '))
      end

      def bank_advice(element, position)
        assessment.bank_review.advice(position) if element == 'battery' && system.bank?
      end

      def climb_rung(ladder)
        return if ladder.rungs.any? { |one| one.state == 'failed' }

        ladder.rungs.select { |one| one.state == 'open' }.lazy.filter_map { |rung| climbing(ladder, rung) }.first
      end

      # A rung about all batteries is climbed battery by battery, charge before health.
      def climbing(ladder, rung)
        test_key = rung.tests.first
        return each_battery if rung.position.nil? && Readings::Catalogue.fetch(test_key).per_battery?
        return if in_vain?(test_key, rung.position)

        measure(test_key, position: rung.position, why: "#{ladder.label} is suspected; this rung of its proof is open: #{Wording.inside(rung.label)}")
      end

      def failing_reading_for(element, position)
        judgement = assessment.current_judgements.find do |one|
          one.act? && one.convicts.include?(element) && position_of(one, element) == position
        end
        return reading_by_id(judgement.reading_id) if judgement

        assessment.reading('cranking_behaviour') if element == 'starter'
      end

      def repair(element, position, why, reading_id)
        part = Units::Parts.fetch(element)
        Step.new(kind: 'repair', element: element, position: position, minutes: part.minutes, why: why,
                 failing_reading_id: reading_id, title: "Mend: #{Wording.inside(part.label)}")
      end

      # -- after a repair

      def finish
        return unless assessment.proofs.all? { |proof| proof.state == 'proved' }

        owed = seen_again || whole_path || unproved_before
        return owed if owed
        return unless Jobs::CloseGate.unseen(assessment).empty?
        return put_back if assessment.disturbed_count.positive?

        Step.new(kind: 'close', minutes: 1, title: 'Close the job',
                 why: 'The failing reading is sound and nothing is left off')
      end

      def seen_again
        key = Jobs::CloseGate.unseen(assessment).first
        return if key.nil? || assessment.reading(key)

        measure(key, why: 'The part is proved; now see that the complaint is gone')
      end

      def whole_path
        return unless Jobs::CloseGate.unseen(assessment).empty?

        key = Jobs::CloseGate.owed_whole_paths(assessment).find { |one| !in_vain?(one) && !assessment.judgement(one)&.act? }
        return if key.nil?
        return amperes_for(key) unless again?(key)

        amperes_for(key) || measure(key, why: 'The whole path failed: it is owed as a whole, whatever its stretches say')
      end

      # A drop at its limit while nobody knows what flowed: the clamp decides.
      def amperes_for(key)
        return unless assessment.judgement(key)&.verdict == 'watch' && assessment.reading('cranking_current').nil?

        measure('cranking_current', why: 'At the limit: what flowed decides')
      end

      # Read once, or not at all, in this round.
      def again?(key) = assessment.readings.count { |one| one.test_key == key && one.round == assessment.round } < 2

      # What a dead starter left unproven for want of current is measured on the first crank with the new one.
      def unproved_before
        return unless starting? && Jobs::CloseGate.unseen(assessment).empty?

        key = StartingOrder::WHOLE_PATHS.find do |one|
          assessment.reading(one).nil? && assessment.readings.any? do |reading|
            reading.test_key == one && assessment.judgements.fetch(reading.id).would_be == 'sound'
          end
        end
        key && measure(key, why: 'Unproven for want of current before: now it flows')
      end

      def put_back
        Step.new(kind: 'put_back', minutes: 5, title: 'Put back what was disturbed',
                 why: "#{assessment.disturbed_count} still off or open")
      end

      # -- the order of work

      def order_of_work
        order = (starting? ? StartingOrder : ChargingOrder).new(assessment, self)
        seen || order.in_hand || looked_at || batteries || order.call
      end

      SEEN_FIRST = { true => %w[cranking_behaviour], false => %w[charge_lamp_key_on belt_look] }.freeze
      private_constant :SEEN_FIRST

      def seen = first_of(SEEN_FIRST.fetch(starting?))
      def looked_at = first_of(['connections_look'])

      def first_of(keys)
        missing = keys.find { |test| assessment.reading(test).nil? }
        missing && measure(missing,
                           why: missing.end_with?('look') ? 'Eyes and hands before the meter' : 'See it fail before anything is touched')
      end

      def batteries
        each_battery unless answered_by_the_crank?
      end

      def each_battery
        system.positions.each do |position|
          next unless system.batteries[position].nil? || system.batteries[position].lead_acid?

          step = charge_of(position) || health_of(position)
          return step if step
        end
        nil
      end

      # Posts that hold under the cranking current have answered for the batteries.
      def answered_by_the_crank?
        posts = assessment.judgement('posts_cranking')
        starting? && posts&.sound? && posts.weight == 'proof'
      end

      def charge_of(position)
        judgement = assessment.judgement('hydrometer',
                                         position: position) || assessment.judgement('rest_voltage', position: position)
        return if judgement&.convicts&.include?('battery')
        return if in_vain?('rest_voltage', position)
        return measure('rest_voltage', position: position, why: 'A weak battery makes every other reading lie') if
          judgement.nil? || !judgement.usable?
        return if judgement.sound?

        Step.new(kind: 'charge', position: position, test_key: 'rest_voltage', minutes: CHARGE_MINUTES,
                 title: "Charge battery #{position}, then read it again", why: judgement.summary)
      end

      def health_of(position)
        return if settled?('battery_test', position) || settled?('load_test', position) || in_vain?('battery_test', position)

        measure('battery_test', position: position, why: 'A weak battery makes every other reading lie')
      end

      def settled?(test_key, position) = assessment.judgement(test_key, position: position)&.usable?

      # Where the complaint leads when nothing is left to measure.
      ELSEWHERE = {
        'starts_and_dies' => 'It starts: look at fuel supply and stop circuit, control-unit feed and immobiliser',
        'normal' => 'It cranks: where it starts hard, look at fuel supply and stop circuit, control-unit feed and immobiliser'
      }.freeze
      private_constant :ELSEWHERE

      def nothing_found
        elsewhere = ELSEWHERE[behaviour] if starting?
        return suspected if elsewhere.nil? && failures.any?

        Step.new(kind: 'watch', minutes: 0, title: elsewhere || 'Nothing wrong found: park it with what is known',
                 why: 'Every test in the order of work is sound. A fault that comes and goes is not closed by one good start')
      end

      # Something fails and no part is proved: said as it is. Nothing is condemned because nothing else is left.
      def suspected
        found = failures.flat_map(&:rules_in).uniq.first(3)
        Step.new(kind: 'watch', minutes: 0, title: 'No part is proved: park it with what is suspected',
                 why: found.empty? ? 'Nothing is condemned because nothing else is left' : "Suspected, not proved: #{found.join('; ')}")
      end

      public

      # @param test_key [String]
      # @param position [String, nil]
      # @return [Boolean] taken twice in this round and of no use: the work goes on without it
      def in_vain?(test_key, position = nil)
        taken = assessment.readings.select do |one|
          one.test_key == test_key && one.position == position && (position || one.round == assessment.round)
        end
        taken.size > 1 && taken.last(2).none? { |one| counts?(assessment.judgements.fetch(one.id)) }
      end

      # @param test_key [String]
      # @param position [String, nil]
      # @return [Boolean] not taken in this round, or taken once and of no use
      def open?(test_key, position = nil)
        judgement = assessment.judgement(test_key, position: position)
        judgement.nil? || (!counts?(judgement) && !in_vain?(test_key, position))
      end

      # A mend whose proof failed is not made again: back to locating.
      #
      # @param element [String]
      # @param position [String, nil]
      # @return [Boolean]
      def mended_in_vain?(element, position)
        assessment.proofs.any? { |proof| proof.repair.element == element && proof.repair.position == position && proof.state == 'failed' }
      end

      # @param judgement [Evidence::Judgement]
      # @return [Boolean]
      def counts?(judgement) = judgement.usable? && judgement.verdict != 'unproven'

      # @param test_key [String]
      # @param why [String]
      # @param position [String, nil]
      # @return [Step] of kind measure
      def measure(test_key, why:, position: nil) = Step.of_test(test_key, why: why, position: position)

      # @param probe [Readings::Probe]
      # @param why [String]
      # @param lamp_on [String, nil] node that a lamp hangs on meanwhile
      # @return [Step] of kind measure
      def between(probe, why:, lamp_on: nil) = Paths::Order.new(assessment.paths).measure(probe, why: why, lamp_on: lamp_on)

      # @param consumers [Array<Circuits::Consumer>] that lack something
      # @param situation [String]
      # @return [Step, nil] along their feeds and returns
      def down(consumers, situation)
        Paths::Order.new(assessment.paths.seen_in(situation)).down(consumers)
      end

      private

      def at_position(position) = position ? ", battery #{position}" : ''
    end
  end
end
