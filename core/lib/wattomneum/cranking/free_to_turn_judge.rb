# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Engine turned by hand.
    class FreeToTurnJudge < Evidence::Judge
      # @return [Judgement]
      def call
        case reading.observation
        when 'free'
          finding('engine.free', 'sound', weight: 'proof', clears: ['engine'], rules_out: ['Locked engine'])
        when 'tight'
          finding('engine.tight', 'act', weight: 'proof', convicts: ['engine'],
                                                                             rules_in: ['Engine or driven machine drags'])
        else
          finding('engine.locked', 'act', weight: 'proof', convicts: ['engine'],
                                                                      rules_in: ['Locked engine'])
        end
      end
    end
  end
end
