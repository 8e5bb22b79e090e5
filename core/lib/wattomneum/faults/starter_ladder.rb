# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of a starter with its solenoid (common practice).
    class StarterLadder < ProofLadder
      # @return [String]
      def suspect = 'starter'

      # @return [Boolean] whether its own coil convicts it: full volts across it, called, and silent
      def by_its_coil? = evidence == :coil

      # @return [Readings::Probe, nil] across its coil, where the volts there were not read in the moment that the engine stood
      def coil_once_more = by_its_coil? && !of_one_moment?(assessment.paths.reading(across_coil)) ? across_coil : nil

      NOT_OF_ONE_MOMENT = 'Its volts were there; what did the engine do meanwhile?'
      NOT_RIGHT_AFTER = 'It comes and goes: turn it by hand right after it failed'
      private_constant :NOT_OF_ONE_MOMENT, :NOT_RIGHT_AFTER

      # @param rung [Rung]
      # @return [Boolean] whether its test was taken, and only what was to be said beside it is missing
      def unsaid?(rung) = [NOT_OF_ONE_MOMENT, NOT_RIGHT_AFTER].include?(rung.reason)

      private

      def build_rungs
        case evidence
        when :spins then [seen_rung, evidence_rung]
        when :coil
          [seen_rung, sound_rung('posts', 'Posts hold while cranking is tried', 'posts_cranking'), evidence_rung]
        when :current then [seen_rung, engine_rung, *paths, batteries_rung, evidence_rung]
        else
          [seen_rung, batteries_rung, sound_rung('posts', 'Posts hold while cranking is tried', 'posts_cranking'),
           signal_rung, *paths, engine_rung, evidence_rung]
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
      def coil = across_coil && assessment.paths.judgement(across_coil)

      def across_coil
        node = assessment.machine.sheet.places['solenoid_terminal'] if assessment.machine
        consumer = node && assessment.machine.consumers.all.find { |one| [one.from, one.to].include?(node) }
        consumer && Paths::Probes.across(consumer, 'cranking')
      end

      def convicts?(test_key) = assessment.judgement(test_key)&.convicts&.include?('starter')

      # Volts that were there in another moment than the engine stood prove nothing against a starter.
      def of_one_moment?(reading) = assessment.engine.of_one_moment?(reading)

      def signal_rung
        rung('signal', 'Signal reaches the solenoid', ['solenoid_signal']) do
          judgement = assessment.judgement('solenoid_signal')
          apart = judgement&.sound? && !of_one_moment?(assessment.reading('solenoid_signal'))
          apart ? ['open', NOT_OF_ONE_MOMENT] : outcome(judgement)
        end
      end

      def paths
        [path_rung('positive', 'Positive side, post to stud', 'positive_drop'), path_rung('ground', 'Ground side, case to post', 'ground_drop')]
      end

      # What jams now and then turns free an hour later.
      def engine_rung
        rung('engine', 'Engine turned by hand and free', ['engine_by_hand']) do
          state, reason = outcome(assessment.judgement('engine_by_hand'))
          later = state == 'done' && assessment.engine.goes? &&
                  assessment.reading('engine_by_hand').conditions.said('right_after_it_failed') != :yes
          later ? ['open', NOT_RIGHT_AFTER] : [state, reason]
        end
      end

      EVIDENCE = { spins: 'cranking_behaviour', current: 'cranking_current', open: 'starter_terminal' }.freeze
      private_constant :EVIDENCE

      def evidence_rung
        rung('evidence', 'Evidence against the starter itself', [EVIDENCE.fetch(evidence, 'starter_terminal')]) do
          next proved(coil, assessment.paths.reading(across_coil)) if evidence == :coil

          test = EVIDENCE[evidence]
          judgement = assessment.judgement(test || 'starter_terminal')
          next proved(judgement, assessment.reading(test)) if test
          next ['failed', judgement.summary] if judgement&.sound?

          ['open', judgement ? judgement.summary : 'Stud to case while it is called, not measured']
        end
      end

      def proved(judgement, reading)
        evidence == :spins || of_one_moment?(reading) ? ['done', judgement.summary] : ['open', NOT_OF_ONE_MOMENT]
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
