# frozen_string_literal: true

module Wattomneum
  module Faults
    # What must be known before a part is condemned, rung by rung. A part is condemned only from the top.
    class ProofLadder
      # state: done, failed (the fault lies here instead) or open; tests: keys of the tests that would climb it
      Rung = Struct.new(:key, :label, :state, :reason, :tests, :position, keyword_init: true)

      # @return [Assessment]
      attr_reader :assessment

      # @param assessment [Assessment]
      def initialize(assessment)
        @assessment = assessment
      end

      # @return [String] element key of the suspect
      def suspect = raise(NotImplementedError)

      # @return [String, nil] battery position of the suspect
      def position = nil

      # @return [String]
      def label = Units::Parts.fetch(suspect).label

      # @return [Array<Rung>]
      def rungs = @rungs ||= build_rungs

      # @return [Boolean] every rung done: the part may be condemned
      def complete? = rungs.all? { |rung| rung.state == 'done' }

      # @return [Rung, nil] the first rung that is not done
      def missing = rungs.find { |rung| rung.state != 'done' }

      # @return [Boolean] false while nothing at all has been climbed
      def started? = rungs.any? { |rung| rung.state != 'open' }

      # @param _rung [Rung]
      # @return [Boolean] whether its test was taken, and only what was to be said beside it is missing
      def unsaid?(_rung) = false

      private

      def rung(key, label, tests, position: nil)
        state, reason = yield
        Rung.new(key: key, label: label, state: state, reason: reason, tests: tests, position: position)
      end

      # A rung that one test climbs by being sound.
      def sound_rung(key, label, test_key)
        rung(key, label, [test_key]) { outcome(assessment.judgement(test_key)) }
      end

      def outcome(judgement)
        return ['open', 'Not measured'] if judgement.nil?
        return ['open', judgement.summary] unless judgement.usable? && judgement.verdict != 'unproven'

        [judgement.act? ? 'failed' : 'done', judgement.summary]
      end

      def battery_tests(position)
        %w[load_test battery_test].filter_map { |key| assessment.judgement(key, position: position) }
      end

      def batteries_rung
        rung('batteries', 'Batteries sound under load, tested apart', %w[battery_test load_test]) do
          states = assessment.system.positions.map { |position| battery_state(position) }
          states.find { |state, _| state == 'failed' } || states.find { |state, _| state == 'open' } || states.first
        end
      end

      def battery_state(position)
        best = battery_tests(position).find(&:usable?)
        state, reason = outcome(best)
        [state, "#{position}: #{reason}"]
      end
    end
  end
end
