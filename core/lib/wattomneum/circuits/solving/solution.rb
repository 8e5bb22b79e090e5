# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # Volts and currents of a network in one position of its contacts.
      class Solution
        # @return [Array<Boolean>] which branches conducted
        attr_reader :conducting

        def initialize(network, conducting, volts, islands)
          @network = network
          @conducting = conducting
          @volts = volts
          @islands = islands
        end

        # @param node [Integer]
        # @return [Float] volts to the reference; in a floating part counted from that part's own root
        def volt(node) = @volts[node]

        # @param node [Integer]
        # @return [Boolean] true where nothing leads to the reference
        def floating?(node) = !island(node).zero?

        # @param one [Integer]
        # @param other [Integer]
        # @return [Boolean] true where something leads from one node to the other
        def connected?(one, other) = island(one) == island(other)

        # @param index [Integer] of the branch
        # @return [Float] ampere from `from` to `to`, 0 where it does not conduct
        def current(index)
          return 0.0 unless conducting[index]

          branch = @network.branches[index]
          (across(branch) - branch.volt.to_f) / branch.ohm
        end

        # @param branch [Network::Branch]
        # @return [Float] volts from `from` to `to`, whether it conducts or not
        def across(branch) = volt(branch.from) - volt(branch.to)

        private

        def island(node) = @islands[node]
      end
    end
  end
end
