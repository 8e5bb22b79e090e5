# frozen_string_literal: true

module Wattomneum
  # Pure mathematics; knows no electricity.
  module Numerics
    # The cheapest way through a graph whose costs are 0 or more.
    #
    # Source: Dijkstra 1959, with a binary heap; with what is known to lie ahead, Hart, Nilsson and Raphael 1968; both from memory.
    module ShortestPath
      NOTHING_KNOWN = ->(_) { 0.0 }
      STEPS_A_NODE = 10
      private_constant :STEPS_A_NODE

      # @param start [Object] node to begin at
      # @param goals [Array<Object>] nodes to end at
      # @param ahead [#call] for a node, the least that any way from there to a goal can cost; never more than it does
      # @yieldparam node [Object]
      # @yieldreturn [Array<Array(Object, Float, Object)>] for each way on: the node it leads to, its cost, what it is called
      # @return [Array(Object, Hash)] the goal that was reached, nil if none; and for each node reached, by which way and from where
      def self.call(start, goals, ahead: NOTHING_KNOWN, &ways)
        came_by = {}
        goal = walk([start], ahead, ways, came_by) { |node, _| break node if goals.include?(node) }
        [goal, came_by]
      end

      # @param starts [Array<Object>]
      # @yield as in call
      # @return [Hash{Object => Float}] least cost from any start to each node that can be reached
      def self.costs(starts, &ways)
        found = {}
        walk(starts, NOTHING_KNOWN, ways, {}) { |node, cost| found[node] = cost }
        found
      end

      # Yields each node with its least cost, nearest first.
      def self.walk(starts, ahead, ways, came_by)
        cost = starts.to_h { |node| [node, 0.0] }
        done = {}
        heap = Heap.new
        starts.each { |node| heap.push(ahead.call(node), node) }
        while (node = heap.pop)
          next if done[node]

          done[node] = true
          yield(node, cost.fetch(node))
          Effort.spend!(STEPS_A_NODE)
          ways.call(node).each do |other, step, way|
            reached = cost.fetch(node) + step
            next if reached >= cost.fetch(other, Float::INFINITY)

            cost[other] = reached
            came_by[other] = [way, node]
            heap.push(reached + ahead.call(other), other)
          end
        end
        nil
      end
      private_class_method :walk

      # Least first.
      class Heap
        def initialize
          @entries = []
        end

        # @param key [Float]
        # @param value [Object]
        def push(key, value)
          at = @entries.size
          @entries << [key, value]
          while at.positive?
            above = (at - 1) / 2
            break if @entries[above].first <= @entries[at].first

            @entries[above], @entries[at] = @entries[at], @entries[above]
            at = above
          end
        end

        # @return [Object, nil] the value with the least key
        def pop
          return @entries.pop&.last if @entries.size < 2

          least = @entries.first.last
          @entries[0] = @entries.pop
          sink(0)
          least
        end

        private

        def sink(at)
          loop do
            below = [(2 * at) + 1, (2 * at) + 2].select { |index| index < @entries.size }.min_by { |index| @entries[index].first }
            break if below.nil? || @entries[at].first <= @entries[below].first

            @entries[below], @entries[at] = @entries[at], @entries[below]
            at = below
          end
        end
      end
      private_constant :Heap
    end
  end
end
