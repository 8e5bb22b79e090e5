# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A supply shorted with no fuse in the way: as drawn, it would burn. Found by solving, not by looking.
    class Shorts
      # item: wire or component that carries it; ampere; key_state
      Short = Struct.new(:source, :ampere, :key_state, :items, keyword_init: true) do
        # @return [String]
        def to_s = "#{source} gives #{Quantities::Figure.ampere(ampere)} in state #{key_state} through #{items.join(', ')}, and no fuse is in the way"
      end
      # A battery that gives more than this share of its short-circuit current feeds a short; a starter takes a quarter.
      SHARE = 0.6

      # @param settled [SettledStates]
      # @return [Array<Short>]
      def self.find(settled)
        settled.all.flat_map { |state, result| new(settled.circuit, state, result).find }
      end

      # @param circuit [Circuit]
      # @param key_state [String]
      # @param result [OperatingPoint::Result]
      def initialize(circuit, key_state, result)
        @circuit = circuit
        @key_state = key_state
        @result = result
      end

      # @return [Array<Short>]
      def find
        batteries.filter_map do |index|
          branch = @circuit.network.branches[index]
          ampere = @result.solution.current(index).abs
          next if ampere < SHARE * branch.volt / branch.ohm

          Short.new(source: @circuit.owned[index].part.id, ampere: ampere, key_state: @key_state, items: carrying(ampere))
        end
      end

      private

      # A magneto is stopped by shorting it; a battery is not.
      def batteries
        @circuit.owned.each_index.select do |index|
          @circuit.owned[index].part.is_a?(Parts::Battery) && @circuit.owned[index].branch.gate == :always
        end
      end

      def carrying(ampere)
        wires = @circuit.owned.each_index.select { |index| @circuit.owned[index].wire && @result.solution.current(index).abs > ampere / 2 }
        wires.map { |index| "wire #{@circuit.owned[index].wire.number}" }
      end
    end
  end
end
