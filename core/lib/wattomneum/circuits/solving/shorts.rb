# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A supply shorted with no fuse in the way: as drawn, it would burn. Found by solving, not by looking: a battery that gives what
      # it only gives into a short, or a wire that carries what no wire of its size is ever asked to.
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
        # A starter cable carries about three times what it may carry for good; more than this burns what is no starter cable, and what
        # is one within its crank (ours).
        MOST_LOAD_RATIO = 4.0

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
          shorted = batteries.filter_map do |battery, branches|
            ampere = given(branches)
            next if ampere < SHARE * battery.short_circuit_ampere

            Short.new(source: battery.id, ampere: ampere, key_state: @key_state, items: carrying(ampere))
          end
          shorted.empty? ? [overloaded].compact : shorted
        end

        private

        # All wires that carry far too much, fed by whichever battery gives most.
        def overloaded
          hot = wires.select { |index, wire| (load = may_carry(wire)) && @result.solution.current(index).abs > MOST_LOAD_RATIO * load }
          return if hot.empty?

          battery, = batteries.max_by { |_, branches| given(branches) }
          Short.new(source: battery ? battery.id : 'the supply', ampere: hot.map { |index, _| @result.solution.current(index).abs }.max,
                    key_state: @key_state, items: hot.map { |_, wire| "wire #{wire.number}" })
        end

        # Below the table's least size in proportion; above its largest as the largest.
        def may_carry(wire)
          size = wire.section_mm2 || (wire.gauge_awg && Wiring::Conductor.awg_section_mm2(gauge: wire.gauge_awg)) or return
          sizes = Wiring::Ampacity.sizes_mm2
          Wiring::Ampacity.continuous_ampere(section_mm2: size.clamp(sizes.min, sizes.max)) * [size / sizes.min, 1].min
        end

        def wires = @circuit.owned.each_with_index.filter_map { |one, index| [index, one.wire] if one.wire }

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
          wires.select { |index, _| @result.solution.current(index).abs > ampere / 2 }.map { |_, wire| "wire #{wire.number}" }
        end
      end
    end
  end
end
