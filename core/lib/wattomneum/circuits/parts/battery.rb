# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The kinds of components a sheet may hold.
    module Parts
      # A battery, or another source with its resistance: a magneto's primary while it turns. A battery gives current through a few
      # milliohms; on charge its own volts rise with what is pushed in, which a far larger resistance stands for. One that gives through as much
      # takes through what it gives.
      class Battery < Part
        RESISTANCE_OHM = 0.006
        # A charged battery takes about 5 A at regulated volts: (14.2 - 12.65) V / 5 A (common practice).
        CHARGE_OHM_PER_12 = 0.3
        NOMINAL_VOLT = 12.65
        # Batteries of 12 V in one box, where its volts are not said: on 24 V two stand side by side, 48 V is a pack.
        BLOCKS = { 6 => 0.5, 48 => 4.0 }.freeze
        private_constant :BLOCKS

        def pins = %w[+ -]
        def shares_pins? = true
        def ring_word = 'clamp'
        # A magneto's primary has no posts.
        def stud?(_pin) = fields['active_in'].nil?

        def branches
          return [branch('+', '-', discharge_ohm, volt: volt, gate: :states, states: states)] if fields['active_in']

          return [branch('+', '-', discharge_ohm, volt: volt)] if discharge_ohm >= charge_ohm

          [branch('+', '-', charge_ohm, volt: volt, name: 'taking charge'),
           branch('-', '+', beside_charge_ohm, volt: -volt, gate: :forward, name: 'giving current')]
        end

        # @return [Float] ampere it gives into a dead short
        def short_circuit_ampere = volt / discharge_ohm

        private

        def volt = number('volt', NOMINAL_VOLT * BLOCKS.fetch(system_volt, 1.0))
        def discharge_ohm = number('ohm', RESISTANCE_OHM)
        def charge_ohm = CHARGE_OHM_PER_12 * volt / NOMINAL_VOLT
        # Both ways carry what it gives: side by side they are as large as what is said of it.
        def beside_charge_ohm = charge_ohm * discharge_ohm / (charge_ohm - discharge_ohm)
      end
    end
  end
end
