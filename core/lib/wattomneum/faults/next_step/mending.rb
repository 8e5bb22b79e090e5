# frozen_string_literal: true

module Wattomneum
  module Faults
    class NextStep
      # What is convicted is mended in loop order; what has a ladder is proved rung by rung first.
      class Mending
        # @param assessment [Assessment]
        # @param steps [NextStep] makes the steps
        def initialize(assessment, steps)
          @assessment = assessment
          @steps = steps
        end

        # @return [Step, nil]
        def call = by_its_coil || mend_convicted || proved_by_its_bracket

        # What fails by more than a hint.
        #
        # @return [Array<Evidence::Judgement>]
        def failures = assessment.current_judgements.select { |one| one.act? && one.usable? && one.weight != 'hint' }

        # What is on watch and says what it may be.
        #
        # @return [Array<Evidence::Judgement>]
        def watched = assessment.current_judgements.select { |one| one.verdict == 'watch' && one.usable? && one.rules_in.any? }

        private

        attr_reader :assessment, :steps

        # Called with full volts and silent.
        def by_its_coil
          ladder = assessment.ladders.find { |one| one.is_a?(ProofLadder) && one.by_its_coil? }
          return if ladder.nil? || steps.mended_in_vain?('starter', nil) || assessment.reading('cranking_behaviour')&.observation != 'silent'

          again = ladder.coil_once_more
          return steps.between(again, why: IN_ONE_MOMENT) if again && assessment.paths.times(again) < 2

          climb('starter', nil)
        end

        IN_ONE_MOMENT = 'It had its volts, and it was silent, but nobody said that it was in one moment: once more, with an ear on the engine'
        private_constant :IN_ONE_MOMENT

        # A bracket with readings of its own that is climbed to the top, though no one of them convicts by itself.
        def proved_by_its_bracket
          ladder = assessment.ladders.grep(ProofLadder).find { |one| one.signed? && one.complete? && LADDERED.include?(one.suspect) }
          return if ladder.nil? || assessment.symptom.work != 'starting' || steps.mended_in_vain?(ladder.suspect, ladder.position)

          climb(ladder.suspect, ladder.position)
        end

        def mend_convicted
          convicted.lazy.filter_map do |element, position, judgement|
            LADDERED.include?(element) ? climb(element, position) : repair(element, position, judgement.summary, judgement.reading_id)
          end.first
        end

        # What is convicted, in loop order.
        def convicted
          pairs = failures.reject { |one| assessment.reading_by_id(one.reading_id).test.along_circuit? }
                          .flat_map { |one| one.convicts.map { |key| [key, position_of(one, key), one] } }
          pairs.reject { |key, position, one| repaired_since?(key, position, one) || steps.mended_in_vain?(key, position) }
               .sort_by { |key, _, _| Units::Parts::ALL.index { |part| part.key == key } }
        end

        def position_of(judgement, element)
          element == 'battery' ? assessment.reading_by_id(judgement.reading_id).position : nil
        end

        def repaired_since?(element, position, judgement)
          taken_in = assessment.reading_by_id(judgement.reading_id).round
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
          assessment.bank_review.advice(position) if element == 'battery' && assessment.system.bank?
        end

        def climb_rung(ladder)
          return if ladder.rungs.any? { |one| one.state == 'failed' }

          # Somebody is at the key already: what was left unsaid before what takes longer.
          ladder.rungs.select { |one| one.state == 'open' }.partition { |one| ladder.unsaid?(one) }.flatten
                .lazy.filter_map { |rung| climbing(ladder, rung) }.first
        end

        # A rung about all batteries is climbed battery by battery, charge before health.
        def climbing(ladder, rung)
          test_key = rung.tests.first or return
          return steps.each_battery if rung.position.nil? && Readings::Catalogue.fetch(test_key).per_battery?

          unsaid = ladder.unsaid?(rung)
          return if steps.in_vain?(test_key, rung.position) || (unsaid && assessment.times(test_key) > 1)

          open = unsaid ? "#{Wording.inside(rung.label)}. #{rung.reason}" : Wording.inside(rung.label)
          steps.measure(test_key, position: rung.position, why: "#{ladder.label} is suspected; this rung of its proof is open: #{open}")
        end

        def failing_reading_for(element, position)
          judgement = assessment.current_judgements.find do |one|
            one.act? && one.convicts.include?(element) && position_of(one, element) == position
          end
          return assessment.reading_by_id(judgement.reading_id) if judgement

          assessment.reading('cranking_behaviour') if element == 'starter'
        end

        def repair(element, position, why, reading_id)
          part = Units::Parts.fetch(element)
          Step.new(kind: 'repair', element: element, position: position, minutes: part.minutes, why: why,
                   failing_reading_id: reading_id, title: "Mend: #{Wording.inside(part.label)}")
        end
      end
    end
  end
end
