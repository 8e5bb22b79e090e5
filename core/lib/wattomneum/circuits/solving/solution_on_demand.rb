# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A solution whose volts are worked out where they are asked for: of one circuit in some thousand only a few nodes are looked at.
      class SolutionOnDemand < Solution
        # @param network [Variation]
        # @param conducting [Array<Boolean>]
        # @param reduction [Reduction]
        # @param tree [EliminationTree]
        def initialize(network, conducting, reduction, tree)
          super(network, conducting, Array.new(network.node_count), Array.new(network.node_count))
          @reduction = reduction
          @tree = tree
          @volts[0] = 0.0
          @islands[0] = 0
        end

        # (see Solution#volt)
        def volt(node) = known(node) && @volts[node]

        private

        def island(node) = known(node)

        def known(node)
          return @islands[node] if @islands[node]

          missing = @tree.up(node).take_while { |at| @islands[@tree.node(at)].nil? }
          missing.reverse_each { |at| @reduction.settle(at, @volts, @islands) }
          @islands[node]
        end
      end
    end
  end
end
