# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Engine turned by hand.
    class FreeToTurnJudge < Evidence::Judge
      # @return [Judgement]
      def call
        case reading.observation
        when 'free'
          judgement('sound', 'The engine turns free', weight: 'proof', clears: ['engine'], rules_out: ['Locked engine'])
        when 'tight'
          judgement('act', 'Tight: find out why before any electrical part', weight: 'proof', convicts: ['engine'],
                                                                             rules_in: ['Engine or driven machine drags'])
        else
          judgement('act', 'Locked: no electrical part will turn it', weight: 'proof', convicts: ['engine'],
                                                                      rules_in: ['Locked engine'])
        end
      end
    end
  end
end
