# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # Nodes that are one by wire, whatever is switched: touching metal anywhere in a net does the same.
        class Nets
          # @param circuit [Circuit]
          def initialize(circuit)
            @net = (0...circuit.names.size).to_a
            circuit.owned.each_with_index do |one, index|
              branch = circuit.network.branches[index]
              @net[root(branch.from)] = root(branch.to) if one.wire || one.ring_of || one.part.joint?
            end
            freeze
          end

          # @param node [Integer]
          # @return [Integer] the same for all nodes of its net
          def of(node) = root(node)

          private

          def root(node)
            node = @net[node] until @net[node] == node
            node
          end
        end
      end
    end
  end
end
