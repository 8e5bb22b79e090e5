# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of a starter with its solenoid (common practice).
    class StarterLadder < ProofLadder
      # @return [String]
      def suspect = 'starter'

      # @return [Boolean] whether its own coil convicts it: full volts across it, called, and silent
      def by_its_coil? = evidence == :coil

      private

      def build_rungs
        case evidence
        when :spins then [seen_rung, evidence_rung]
        when :coil
          [seen_rung, sound_rung('posts', 'Posts hold while cranking is tried', 'posts_cranking'), evidence_rung]
        when :current then [seen_rung, engine_rung, *paths, batteries_rung, evidence_rung]
        else
          [seen_rung, batteries_rung, sound_rung('posts', 'Posts hold while cranking is tried', 'posts_cranking'),
           sound_rung('signal', 'Signal reaches the solenoid', 'solenoid_signal'), *paths, engine_rung, evidence_rung]
        end
      end

      # What speaks against the starter itself. That nothing else is left does not.
      def evidence
        @evidence ||= if convicts?('cranking_behaviour') then :spins
                      elsif convicts?('cranking_current') then :current
                      elsif convicts?('starter_terminal') then :open
                      elsif coil&.code == 'load.dead_with_volts' then :coil
                      else :none
                      end
      end

      # Volts across its own coil while it is called and silent.
      def coil
        node = assessment.machine.sheet.places['solenoid_terminal'] if assessment.machine
        consumer = node && assessment.machine.consumers.all.find { |one| [one.from, one.to].include?(node) }
        consumer && assessment.paths.judgement(Paths::Probes.across(consumer, 'cranking'))
      end

      def convicts?(test_key) = assessment.judgement(test_key)&.convicts&.include?('starter')

      def paths
        [path_rung('positive', 'Positive side, post to stud', 'positive_drop'), path_rung('ground', 'Ground side, case to post', 'ground_drop')]
      end

      def engine_rung = sound_rung('engine', 'Engine turned by hand and free', 'engine_by_hand')

      EVIDENCE = { spins: 'cranking_behaviour', current: 'cranking_current', open: 'starter_terminal' }.freeze
      private_constant :EVIDENCE

      def evidence_rung
        rung('evidence', 'Evidence against the starter itself', ['starter_terminal']) do
          next ['done', coil.summary] if evidence == :coil

          test = EVIDENCE[evidence]
          judgement = assessment.judgement(test || 'starter_terminal')
          next ['done', judgement.summary] if test
          next ['failed', judgement.summary] if judgement&.sound?

          ['open', judgement ? judgement.summary : 'Stud to case while it is called, not measured']
        end
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
          if judgement&.would_be == 'sound' && evidence == :open
            ['done', 'Full volts at the starter; the cables stay unproven until loaded']
          else
            outcome(judgement)
          end
        end
      end
    end
  end
end
