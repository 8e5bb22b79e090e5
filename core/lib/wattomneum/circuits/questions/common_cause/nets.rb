# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      class CommonCause
        # Nodes that are one by wire, whatever is switched: touching metal anywhere in a net does the same.
        class Nets
          # @param circuit [Circuit]
          def initialize(circuit)
            @nets = Numerics::Unions.new(circuit.names.size)
            circuit.owned.each_with_index do |one, index|
              branch = circuit.network.branches[index]
              @nets.join(branch.from, branch.to) if one.wire || one.ring_of || one.part.joint?
            end
          end

          # @param node [Integer]
          # @return [Integer] the same for all nodes of its net
          def of(node) = @nets.of(node)
        end
      end
    end
  end
end
