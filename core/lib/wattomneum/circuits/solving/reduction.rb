# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A network's conductances and injected currents after every node was eliminated, in one position of its contacts.
      #
      # Formula: star-mesh per node k, sum = sum(g_kj), g_ij += g_ik g_kj / sum, j_i += j_k g_ki / sum; see Elimination.
      class Reduction
        # @return [Array<Float>] conductance of each slot as it was when a node of it was eliminated
        attr_reader :conductance
        # @return [Array<Float>] current into each node when it was eliminated
        attr_reader :injected
        # @return [Array<Float>] for each step the sum of the node's conductances; 0 where nothing was left that it hung on
        attr_reader :sums

        # @param elimination [Elimination]
        # @param conductance [Array<Float>] siemens by slot, as the branches have it; changed here
        # @param injected [Array<Float>] ampere by node, as the sources drive it; changed here
        # @return [Reduction]
        def self.of(elimination, conductance, injected)
          new(elimination, conductance, injected, Array.new(elimination.steps.size, 0.0)).tap(&:reduce)
        end

        def initialize(elimination, conductance, injected, sums)
          @elimination = elimination
          @conductance = conductance
          @injected = injected
          @sums = sums
        end

        # The inner loops are plain: they run for every position of every element of every sheet.
        #
        # @return [void]
        def reduce
          @elimination.steps.each_with_index do |step, at|
            sum = sum_of(step)
            next if sum == 0.0

            @sums[at] = sum
            spread(step, sum)
          end
        end

        # @return [Array(Array<Float>, Array<Integer>)] volts by node, and the root of the part of the network that each is in: 0 is the reference
        def substitute
          volts = Array.new(@injected.size, 0.0)
          islands = Array.new(@injected.size, 0)
          at = @sums.size
          settle(at, volts, islands) while (at -= 1) >= 0
          [volts, islands]
        end

        # A node that nothing connects to what is left is the root of a floating part: its volts are counted from itself.
        #
        # @param at [Integer] step whose node is settled; those after it are
        # @param volts [Array<Float>] by node, filled in
        # @param islands [Array<Integer>] by node, filled in
        # @return [void]
        def settle(at, volts, islands)
          step = @elimination.steps[at]
          sum = @sums[at]
          return root(step.node, volts, islands) if sum == 0.0

          island = nil
          total = @injected[step.node]
          neighbours = step.neighbours
          step.slots.each_with_index do |slot, index|
            value = @conductance[slot]
            next if value == 0.0

            other = neighbours[index]
            total += value * volts[other]
            island ||= islands[other]
          end
          volts[step.node] = total / sum
          islands[step.node] = island
        end

        # The same with some branches otherwise. Only the steps that these slots reach are done again, and every sum in them from what goes
        # into it, in the same order: nothing is ever taken away from a sum, so it comes out as if all had been done again, to the last bit.
        #
        # @param tree [EliminationTree] of the same elimination
        # @param stamps [Array(Array<Float>, Array<Float>)] conductances and currents that this was reduced from
        # @param changed [Hash{Integer => Float}] siemens of the slots that differ, as the branches have it
        # @return [Reduction]
        def with(tree, stamps, changed)
          Reduction.new(@elimination, @conductance.dup, @injected.dup, @sums.dup).tap { |other| other.redo(tree, *stamps, changed) }
        end

        protected

        def redo(tree, stamped, driven, changed)
          tree.reached(changed.keys).each do |at|
            step = @elimination.steps[at]
            step.slots.each { |slot| @conductance[slot] = gathered(tree.into_slot(slot), changed[slot] || stamped[slot]) }
            @injected[step.node] = current_into(tree.into_node(step.node), driven[step.node])
            @sums[at] = sum_of(step)
          end
        end

        private

        def sum_of(step)
          sum = 0.0
          step.slots.each { |slot| sum += @conductance[slot] }
          sum
        end

        def root(node, volts, islands)
          volts[node] = 0.0
          islands[node] = node
        end

        def spread(step, sum)
          pairs = step.pairs
          conductance = @conductance
          at = 0
          size = pairs.size
          while at < size
            one = conductance[pairs[at + 1]]
            other = conductance[pairs[at + 2]]
            conductance[pairs[at]] += one * other / sum unless one == 0.0 || other == 0.0
            at += 3
          end
          own = @injected[step.node]
          return if own == 0.0

          step.neighbours.each_with_index { |other, index| @injected[other] += own * conductance[step.slots[index]] / sum }
        end

        def gathered(parts, total)
          at = 0
          size = parts.size
          while at < size
            one = @conductance[parts[at + 1]]
            other = @conductance[parts[at + 2]]
            total += one * other / @sums[parts[at]] unless one == 0.0 || other == 0.0
            at += 3
          end
          total
        end

        def current_into(parts, total)
          at = 0
          size = parts.size
          while at < size
            step = parts[at]
            own = @injected[@elimination.steps[step].node]
            total += own * @conductance[parts[at + 1]] / @sums[step] unless own == 0.0 || @sums[step] == 0.0
            at += 2
          end
          total
        end
      end
    end
  end
end
