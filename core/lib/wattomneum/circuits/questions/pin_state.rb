# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What a pin is at in one key state, in one word: live, low (some of what feeds the machine is lost on the way), ground, or open (nothing
      # leads there).
      class PinState
        WORDS = %w[live low ground open].freeze
        # From this share of the highest volts on the sheet on a pin is fully fed (ours: a tenth may be lost in feeds that work).
        FED_RATIO = 0.9

        # @param circuit [Circuit]
        # @param solution [Solving::Solution]
        def initialize(circuit, solution)
          @circuit = circuit
          @solution = solution
          @highest = circuit.sheet.parts.flat_map { |part| part.pins.filter_map { |pin| volt(part.node(pin))&.abs } }.max || 0.0
        end

        # @param name [String] node, "K1:30"
        # @return [String] of WORDS
        def of(name)
          volt = volt(name)
          return 'open' if volt.nil?
          return 'ground' if volt.abs < LiveTerminals::LIVE_RATIO * @circuit.sheet.system_volt

          volt.abs >= FED_RATIO * @highest ? 'live' : 'low'
        end

        # A wire whose ends differ loses something on its way: low, unless one end only hangs open.
        #
        # @param wire [Wire]
        # @return [String] of WORDS
        def of_wire(wire)
          ends = [wire.from, wire.to].map { |node| of(node) }.uniq
          return ends.first if ends.one?

          ends.delete('open')
          ends.one? ? ends.first : 'low'
        end

        private

        # nil where nothing leads there.
        def volt(name)
          node = @circuit.node(name)
          @solution.floating?(node) ? nil : @solution.volt(node)
        end
      end
    end
  end
end
