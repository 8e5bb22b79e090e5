# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Current through a path by clamp, against what the sheet gives: a hint, since loads of a sheet are seldom measured.
      class CurrentJudge < Judge
        WITHIN_RATIO = 0.4
        LEAST_AMPERE = 1.0
        private_constant :WITHIN_RATIO, :LEAST_AMPERE

        # @return [Judgement]
        def call
          expected = circumstances.sound(probe).value.abs
          hint(Figure.ampere(expected), (value.abs - expected).abs <= [WITHIN_RATIO * expected, LEAST_AMPERE].max)
        end
      end
    end
  end
end
