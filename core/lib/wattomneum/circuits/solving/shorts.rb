# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A supply shorted with no fuse in the way: as drawn, it would burn. Found by solving, not by looking.
      class Shorts
        # item: wire or component that carries it; ampere; key_state
        Short = Struct.new(:source, :ampere, :key_state, :items, keyword_init: true) do
          # @return [String]
          def to_s
            "#{source} gives #{Quantities::Figure.ampere(ampere)} in state #{key_state} through #{items.join(', ')}, and no fuse is in the way"
          end
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
          batteries.filter_map do |battery, branches|
            ampere = given(branches)
            next if ampere < SHARE * battery.short_circuit_ampere

            Short.new(source: battery.id, ampere: ampere, key_state: @key_state, items: carrying(ampere))
          end
        end

        private

        # A magneto is stopped by shorting it; a battery is not.
        def batteries
          found = @circuit.owned.each_index.select do |index|
            @circuit.owned[index].part.is_a?(Parts::Battery) && @circuit.owned[index].branch.gate != :states
          end
          found.group_by { |index| @circuit.owned[index].part }
        end

        # Out of the plus post, through both of its ways.
        def given(branches)
          branches.sum { |index| @result.solution.current(index) * (@circuit.owned[index].branch.gate == :forward ? 1 : -1) }
        end

        def carrying(ampere)
          wires = @circuit.owned.each_index.select { |index| @circuit.owned[index].wire && @result.solution.current(index).abs > ampere / 2 }
          wires.map { |index| "wire #{@circuit.owned[index].wire.number}" }
        end
      end
    end
  end
end
