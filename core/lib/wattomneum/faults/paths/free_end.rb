# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # A wire that finds ground although its end hangs free: ohms from there, with nothing left on it.
      class FreeEnd
        SITUATION = 'isolator_open'
        WHY = 'It finds ground with nothing on it: is the wire rubbed through?'
        private_constant :SITUATION, :WHY

        # @param kase [Case]
        # @param node [String] end that hangs free
        # @param opened [Array<String>] components at both ends, unplugged
        def initialize(kase, node:, opened:)
          @case = kase
          @probe = Readings::Probe.new(by: 'ohms', from: node, to: kase.circumstances.negative_post, situation: SITUATION, opened: opened)
        end

        # @return [Step, nil] the ohms, or what they say; nil where they tell nothing, or no short
        def call
          return unless ShortedWire.tells?(@case.machine, @probe)

          order = Order.new(@case)
          reading = @case.reading(@probe) or return order.measure(@probe, why: WHY)
          ShortedWire.new(@case, order, reading).call if @case.judgement(@probe).code == 'ohms.short'
        end
      end
    end
  end
end
