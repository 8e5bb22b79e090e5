# frozen_string_literal: true

module Wattomneum
  module Faults
    class NextStep
      # What is read in the same crank, since somebody is at the key anyway: posts, stud, case and signal of one moment go together, and what each
      # is worth hangs on the others.
      class SameCrank
        # As many more as one can read while it turns, or while it clicks a second time (ours).
        MOST = 3
        READ = %w[voltage current].freeze
        private_constant :MOST, :READ

        # @param assessment [Assessment]
        def initialize(assessment)
          @assessment = assessment
        end

        # @param step [Step]
        # @return [Step] the same, with the tests that are taken together with it
        def with(step)
          return step unless cranks?(step)

          keys = (asked_for - [step.test_key]).select { |key| unread?(key) }.first(MOST)
          keys.empty? ? step : Step.new(**step.to_h, together: keys)
        end

        private

        attr_reader :assessment

        def cranks?(step) = step&.test_key && %w[measure prove repeat].include?(step.kind) && in_a_crank?(step.test_key)

        def in_a_crank?(key)
          test = Readings::Catalogue.fetch(key)
          test.state == 'cranking' && READ.include?(test.quantity)
        end

        def unread?(key) = in_a_crank?(key) && assessment.reading(key).nil? && Readings::Catalogue.fetch(key).fits?(assessment.system)

        # By what the engine does; after a repair what is owed as a whole.
        def asked_for
          return ['posts_cranking', *Jobs::CloseGate.owed_whole_paths(assessment)] if assessment.repairs.any?

          StartingOrder.tests_of(assessment.reading('cranking_behaviour')&.observation)
        end
      end
    end
  end
end
