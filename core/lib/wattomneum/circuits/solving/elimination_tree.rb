# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # Which steps of an elimination feed which: a conductance that differs reaches the step that uses it up, the step of the first of that
      # node's neighbours, and so on to a root. In wiring, which is mostly runs and trees, these are few of all.
      #
      # Source: elimination trees (Liu 1990), from memory.
      class EliminationTree
        # @param elimination [Elimination]
        # @param node_count [Integer]
        def initialize(elimination, node_count)
          @steps = elimination.steps
          @place = Array.new(node_count)
          @steps.each_with_index { |step, at| @place[step.node] = at }
          @parents = @steps.map { |step| step.neighbours.filter_map { |node| @place[node] }.min }
          @into_slot = Array.new(elimination.slot_count) { [] }
          @into_node = Array.new(node_count) { [] }
          @user = Array.new(elimination.slot_count)
          @steps.each_with_index { |step, at| note(step, at) }
          freeze
        end

        # @param slots [Array<Integer>]
        # @return [Array<Integer>] steps that come out otherwise when these conductances do, in order
        def reached(slots)
          slots.each_with_object({}) do |slot, found|
            at = @user[slot]
            while at && !found[at]
              found[at] = true
              at = @parents[at]
            end
          end.keys.sort
        end

        # @param node [Integer]
        # @return [Array<Integer>] the step of a node and of all that its volts depend on, itself first
        def up(node)
          at = @place[node]
          found = []
          while at
            found << at
            at = @parents[at]
          end
          found
        end

        # @param at [Integer] a step
        # @return [Integer] the node that it eliminates
        def node(at) = @steps[at].node

        # @param slot [Integer]
        # @return [Array<Integer>] what is added to it on the way: step, slot one, slot two, and again, in one flat array
        def into_slot(slot) = @into_slot[slot]

        # @param node [Integer]
        # @return [Array<Integer>] what current comes into it on the way: step, slot, and again, in one flat array
        def into_node(node) = @into_node[node]

        private

        def note(step, at)
          step.slots.each { |slot| @user[slot] = at }
          step.pairs.each_slice(3) { |result, one, other| @into_slot[result].push(at, one, other) }
          step.neighbours.each_with_index { |node, index| @into_node[node].push(at, step.slots[index]) }
        end
      end
    end
  end
end
