# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # From which key state on a fault can be felt: where nothing flows through its place, at rest or on the way there, all is as without it.
      class Onset
        # Less current, and fewer volts on the net that touches metal, and the state is as it was.
        CARRIES_AMPERE = 1e-10
        LIVE_VOLT = 1e-3
        private_constant :CARRIES_AMPERE, :LIVE_VOLT

        # @param settled [SettledStates] without a fault
        def initialize(settled)
          @settled = settled
          @states = settled.circuit.sheet.states.keys
        end

        # @param branches [Array<Integer>] that come open or change their resistance
        # @param shorted [Array<Integer>] nodes that touch ground
        # @return [Integer, nil] place of the first key state in which that can be felt; nil for never
        def of(branches: [], shorted: [])
          @states.index { |state| @settled.fetch(state).on_the_way.any? { |solution| felt?(solution, branches, shorted) } }
        end

        # @param first [Integer] place of a key state
        # @return [Hash{String => OperatingPoint::Result}] of the key states before it
        def before(first) = @states.first(first).to_h { |state| [state, @settled.fetch(state)] }

        private

        def felt?(solution, branches, shorted)
          branches.any? { |index| solution.current(index).abs > CARRIES_AMPERE } || shorted.any? { |node| live?(solution, node) }
        end

        def live?(solution, node) = !solution.floating?(node) && solution.volt(node).abs > LIVE_VOLT
      end
    end
  end
end
