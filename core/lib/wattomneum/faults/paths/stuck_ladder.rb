# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # Proof ladder of something laddered that is condemned for staying on: seen to run, and nothing else of the circuit would show all that
      # was read.
      class StuckLadder < Ladder
        # @return [Array<ProofLadder::Rung>]
        def rungs = @rungs ||= [seen, alone]

        private

        def alone
          only = StaysOn.new(@case, Order.new(@case)).only
          return rung('alone', ALONE, 'open', 'Others are not ruled out yet') if only.nil?

          rung('alone', ALONE, only.key == suspect ? 'done' : 'failed', "What is left is #{only.label}")
        end

        ALONE = 'Not called, and not fed past it'
        private_constant :ALONE
      end
    end
  end
end
