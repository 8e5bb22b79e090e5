# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of a starter with its solenoid (common practice).
    class StarterLadder < ProofLadder
      # @return [String]
      def suspect = 'starter'

      private

      def build_rungs
        [seen_rung, batteries_rung,
         sound_rung('posts', 'Posts hold while cranking is tried', 'posts_cranking'),
         sound_rung('signal', 'Signal reaches the solenoid', 'solenoid_signal'),
         path_rung('positive', 'Positive side, post to stud', 'positive_drop'),
         path_rung('ground', 'Ground side, case to post', 'ground_drop'),
         sound_rung('engine', 'Engine turned by hand and free', 'engine_by_hand')]
      end

      def seen_rung
        rung('seen', 'Seen to fail', ['cranking_behaviour']) do
          judgement = assessment.judgement('cranking_behaviour')
          next ['open', 'Not seen'] if judgement.nil?

          judgement.act? ? ['done', judgement.summary] : ['failed', 'It cranks now: nothing to condemn']
        end
      end

      # Full volts across a starter that draws nothing stand in for the drops: the cables then stay unproven until loaded.
      def path_rung(key, label, test_key)
        rung(key, label, [test_key]) do
          judgement = assessment.judgement(test_key)
          if judgement&.would_be == 'sound' && starter_convicted?
            ['done', 'Full volts at the starter; the cables stay unproven until loaded']
          else
            outcome(judgement)
          end
        end
      end

      def starter_convicted?
        assessment.judgement('starter_terminal')&.convicts&.include?('starter')
      end
    end
  end
end
