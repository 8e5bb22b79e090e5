# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # The order in which a network's nodes are eliminated, and every sum that takes, worked out once for a set of branches.
      #
      # Star-mesh transformation: a node is replaced by conductances between its neighbours, g_ij += g_ik g_kj / sum(g_k).
      # Only positive numbers are ever added, so a megohm next to a milliohm keeps its digits, and a bridge that opens inside a
      # floating part cannot turn a resistance negative. Nodes with the fewest neighbours go first.
      #
      # Source: star-mesh transform (Rosen 1924); minimum degree order (Tinney and Walker 1967); both from memory.
      class Elimination
        # One node: its neighbours, the slots of the conductances to them, and for each pair of neighbours
        # [slot of the result, slot one, slot two] in one flat array.
        Step = Struct.new(:node, :neighbours, :slots, :pairs)

        STEPS_A_NODE = 5
        private_constant :STEPS_A_NODE

        # @return [Array<Step>] in order
        attr_reader :steps
        # @return [Integer] how many conductances are kept, fill included
        attr_reader :slot_count

        # @param node_count [Integer] node 0 is the reference and stays
        # @param pairs [Array<Array(Integer, Integer)>] the two nodes of every branch there may be
        # @raise [OverBudgetError] if a solve would take more sums than Budgets allows
        def initialize(node_count, pairs)
          @slot_of = {}
          @neighbours = Array.new(node_count) { {} }
          pairs.each { |one, other| join(one, other) unless one == other }
          @original = @slot_of.dup.freeze
          @steps = order(node_count)
          @slot_count = @slot_of.size
          freeze
        end

        # @param one [Integer]
        # @param other [Integer]
        # @return [Integer] slot of the conductance between two nodes that share a branch
        def slot(one, other) = @original.fetch(key(one, other))

        # @param one [Integer]
        # @param other [Integer]
        # @return [Boolean] whether a branch between them needs no other order
        def slot?(one, other) = one == other || @original.key?(key(one, other))

        private

        def key(one, other) = one < other ? (one << 20) | other : (other << 20) | one

        def join(one, other)
          @neighbours[one][other] = true
          @neighbours[other][one] = true
          @slot_of[key(one, other)] ||= @slot_of.size
        end

        # Nodes wait in a list for each number of neighbours; one whose number changed waits in a later list too, and is passed over
        # in the earlier one.
        def order(node_count)
          waiting = []
          (1...node_count).each { |node| wait(waiting, node) }
          gone = Array.new(node_count, false)
          steps = []
          sums = 0
          while steps.size < node_count - 1
            node = fewest(waiting, gone)
            gone[node] = true
            around = @neighbours[node].keys
            steps << eliminate(node)
            around.each { |other| wait(waiting, other) unless other.zero? }
            Budgets.check(:elimination_sums, sums += steps.last.pairs.size / 3)
            Effort.spend!(STEPS_A_NODE + steps.last.pairs.size)
          end
          steps.freeze
        end

        def wait(waiting, node) = (waiting[@neighbours[node].size] ||= []) << node

        def fewest(waiting, gone)
          waiting.each_with_index do |nodes, size|
            while (node = nodes&.shift)
              return node if !gone[node] && @neighbours[node].size == size
            end
          end
        end

        def eliminate(node)
          around = @neighbours[node].keys
          slots = around.map { |other| @slot_of.fetch(key(node, other)) }
          around.each { |other| @neighbours[other].delete(node) }
          pairs = []
          around.each_index do |i|
            ((i + 1)...around.size).each { |j| pairs.push(join(around[i], around[j]), slots[i], slots[j]) }
          end
          Step.new(node, around, slots, pairs).freeze
        end
      end
    end
  end
end
