# frozen_string_literal: true

module Wattomneum
  module Practice
    # How a unit really behaves, by formulas and a solver of its own: nothing here is taken from what judges it.
    module Physics
      # Volts at the nodes of a network of conductances and sources, node 0 at nothing. Every node leaks a little to node 0, so that what hangs
      # free stands somewhere.
      #
      # Source: nodal analysis, eliminated in order of the fewest neighbours.
      class Net
        LEAK_SIEMENS = 1e-8
        # What lies between two nodes: volt drives current out of `from`.
        Way = Struct.new(:from, :to, :ohm, :volt)

        # @param node_count [Integer]
        def initialize(node_count)
          @node_count = node_count
        end

        # @param ways [Array<Way>]
        # @return [Array<Float>] volts by node
        def solve(ways)
          rows, right = assembled(ways)
          order = []
          open = (1...@node_count).to_h { |node| [node, rows[node].size] }
          until open.empty?
            node = open.min_by(&:last).first
            open.delete(node)
            eliminate(node, rows, right, open)
            order << node
          end
          substituted(order, rows, right)
        end

        private

        def assembled(ways)
          rows = Array.new(@node_count) { |node| { node => LEAK_SIEMENS } }
          right = Array.new(@node_count, 0.0)
          ways.each do |way|
            next if way.from == way.to

            siemens = 1.0 / way.ohm
            [[way.from, way.to, way.volt], [way.to, way.from, -way.volt]].each do |one, other, volt|
              rows[one][one] += siemens
              rows[one][other] = (rows[one][other] || 0.0) - siemens unless other.zero?
              right[one] += siemens * volt
            end
          end
          [rows, right]
        end

        def eliminate(node, rows, right, open)
          row = rows[node]
          pivot = row[node]
          others = row.keys.select { |other| open.key?(other) }
          others.each do |other|
            ratio = rows[other].delete(node) / pivot
            others.each { |third| rows[other][third] = (rows[other][third] || 0.0) - (ratio * row[third]) }
            right[other] -= ratio * right[node]
            open[other] = rows[other].size
          end
        end

        def substituted(order, rows, right)
          volts = Array.new(@node_count, 0.0)
          done = {}
          order.reverse_each do |node|
            rest = rows[node].sum { |other, siemens| other == node || !done[other] ? 0.0 : siemens * volts[other] }
            volts[node] = (right[node] - rest) / rows[node][node]
            done[node] = true
          end
          volts
        end
      end
    end
  end
end
