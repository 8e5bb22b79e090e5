# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # Lamp, heater, solenoid, motor, pump, gauge: a resistance that does something when it gets its volts.
      class Load < Part
        # Under this share of the system it is taken not to do its work (common practice; a lamp glows, a solenoid lets go).
        WORKS_RATIO = 0.7

        def pins = (fields['pins'] || %w[1 2]).map(&:to_s)
        def branches = [branch(pins.first, pins.last, ohm, **gate)]

        # A starter, a winch, a row of glow plugs: cables under nuts.
        STUD_OHM = 0.5

        def stud?(_pin) = ohm < STUD_OHM

        # @return [Float] at work; a lamp's hot resistance
        def ohm = number('ohm') || ((system_volt**2) / number('watt'))

        def watches
          [Watch.new(key: id, label: label, kind: 'load', from: node(pins.first), to: node(pins.last),
                     least_volt: number('works_from_volt') || (system_volt * WORKS_RATIO),
                     codes: fields.fetch('codes', []).map(&:to_s))]
        end

        # @return [Array<String>, nil] key states in which the sheet says it works; nil where it says nothing
        def works_in = fields['works_in']&.map(&:to_s)

        private

        def gate = fields['active_in'] ? { gate: :states, states: states } : {}
      end
    end
  end
end
