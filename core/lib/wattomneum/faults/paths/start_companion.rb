# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What has to be known beside a drop of the start loop before it proves a repair: what the engine did, and, at the limit, what flowed.
      class StartCompanion
        WHAT_FLOWS = 'What flows decides what the proving drop is worth'
        AT_THE_LIMIT = 'At the limit: what flowed decides'

        # @param kase [Case]
        # @param probe [Readings::Probe] of the drop
        def initialize(kase, probe)
          @case = kase
          @probe = probe
        end

        # @return [Step, nil] nil where no circuit of a starter is drawn that could be cranked
        def call
          return if @case.machine.sheet.loops.none? { |loop| loop.key == 'start' }
          return Step.of_test('cranking_behaviour', why: WHAT_FLOWS) unless read?('cranking_behaviour')

          Step.of_test('cranking_current', why: AT_THE_LIMIT) if @case.judgement(@probe)&.verdict == 'watch' && !read?('cranking_current')
        end

        private

        def read?(test_key) = @case.circumstances.tests.readings.any? { |one| one.test_key == test_key && one.round == @case.round }
      end
    end
  end
end
