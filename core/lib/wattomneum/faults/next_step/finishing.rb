# frozen_string_literal: true

module Wattomneum
  module Faults
    class NextStep
      # After the last proved repair: the complaint seen gone, what is owed as a whole, what was left off, and the job is closed.
      class Finishing
        # @param assessment [Assessment]
        # @param steps [NextStep] makes the steps
        def initialize(assessment, steps)
          @assessment = assessment
          @steps = steps
        end

        # @return [Step, nil]
        def call
          return unless assessment.proofs.all? { |proof| proof.state == 'proved' }

          owed = seen_again || whole_path || unproved_before
          return owed if owed
          return unless Jobs::CloseGate.unseen(assessment).empty?
          return put_back if assessment.disturbed_count.positive?

          Step.new(kind: 'close', minutes: 1, title: 'Close the job',
                   why: 'The failing reading is sound and nothing is left off')
        end

        private

        attr_reader :assessment, :steps

        def seen_again
          key = Jobs::CloseGate.unseen(assessment).first
          return if key.nil? || assessment.reading(key)

          steps.measure(key, why: 'The part is proved; now see that the complaint is gone')
        end

        def whole_path
          return unless Jobs::CloseGate.unseen(assessment).empty?

          key = Jobs::CloseGate.owed_whole_paths(assessment).find { |one| !steps.in_vain?(one) && !assessment.judgement(one)&.act? }
          return if key.nil?
          return amperes_for(key) unless again?(key)

          amperes_for(key) || steps.measure(key, why: 'The whole path failed: it is owed as a whole, whatever its stretches say')
        end

        # A drop at its limit while nobody knows what flowed: the clamp decides.
        def amperes_for(key)
          return unless assessment.judgement(key)&.verdict == 'watch' && assessment.reading('cranking_current').nil?

          steps.measure('cranking_current', why: Paths::StartCompanion::AT_THE_LIMIT)
        end

        # Read once, or not at all, in this round.
        def again?(key) = assessment.times(key) < 2

        # What a dead starter left unproven for want of current is measured on the first crank with the new one.
        def unproved_before
          return unless assessment.symptom.work == 'starting' && Jobs::CloseGate.unseen(assessment).empty?

          key = Readings::Catalogue::START_SIDES.find do |one|
            assessment.reading(one).nil? && assessment.readings.any? do |reading|
              reading.test_key == one && assessment.judgements.fetch(reading.id).would_be == 'sound'
            end
          end
          key && steps.measure(key, why: 'Unproven for want of current before: now it flows')
        end

        def put_back
          Step.new(kind: 'put_back', minutes: 5, title: 'Put back what was disturbed',
                   why: "#{assessment.disturbed_count} still off or open")
        end
      end
    end
  end
end
