# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Teeth of the ring gear, all the way round: a starter that spins free may be right, and have nothing left to bite on.
    class RingGearJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return finding('ring_gear.whole', 'sound', weight: 'proof', rules_out: ['Ring gear']) if reading.observation == 'whole'

        finding('ring_gear.worn', 'act', weight: 'proof', rules_in: ['Teeth of the ring gear, not the starter'])
      end
    end
  end
end
