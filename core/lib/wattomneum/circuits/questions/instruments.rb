# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # Instruments as what they are: elements of the circuit they read.
      class Instruments
        # volt, ampere or ohm; over_range for OL; bright: how a lamp lights, as a ratio of full
        Shown = Struct.new(:volt, :ampere, :ohm, :over_range, :bright_ratio, keyword_init: true)
        # A multimeter shows OL above this.
        OVER_RANGE_OHM = 4e7
        # Test current of an ohmmeter and the volts across the points it stands for (common practice).
        TEST_AMPERE = 0.001
        SHUNT_OHM = 0.001

        # @param settled [Solving::SettledStates]
        def initialize(settled)
          @settled = settled
          @circuit = settled.circuit
        end

        # @param from [String] pin of the red lead
        # @param to [String] pin of the black lead
        # @param key_state [String]
        # @param meter_ohm [Float]
        # @return [Shown]
        def volts(from, to, key_state:, meter_ohm: Limits::Table.shipped.fetch('evidence.meter_input').value)
          result = with(branch(from, to, meter_ohm)).fetch(key_state)
          Shown.new(volt: result.solution.current(extra) * meter_ohm)
        end

        # A lamp of so many watts between two points: hot where it lights, a tenth of that where it stays dark.
        #
        # @param watt [Float] at the system's volts
        # @return [Shown] with the volts across it, its current and how bright it is
        def lamp(from, to, key_state:, watt: 21.0)
          hot_ohm = (@circuit.sheet.system_volt.to_f**2) / watt
          hot = volts_across(from, to, key_state, hot_ohm)
          ohm, volt = lights?(hot) ? [hot_ohm, hot] : cold(from, to, key_state, hot_ohm, hot)
          Shown.new(volt: volt, ampere: volt / ohm, bright_ratio: [volt.abs / @circuit.sheet.system_volt, 1.0].min)
        end
        # Under this share of its volts a filament hardly glows (common practice).
        LIGHTS_RATIO = 0.25
        COLD_RATIO = Wiring::Conductor::TABLES['lamp_resistance']['cold_ratio']

        # Current through an item that has one way through it: a wire, a fuse. A clamp meter does not open the circuit.
        #
        # @param item [Circuit::Item]
        # @param key_state [String]
        # @return [Shown]
        # @raise [RefusedError] if the item has several ways through it
        def amperes(item, key_state:)
          raise RefusedError, "#{item.key} has several ways through it: clamp one of its wires" unless item.branches.size == 1

          Shown.new(ampere: @settled.fetch(key_state).solution.current(item.branches.first))
        end

        # @param from [String]
        # @param to [String]
        # @param key_state [String] in which the circuit is dead
        # @return [Shown] ohm, or over_range
        # @raise [RefusedError] if there are volts across the points
        def ohms(from, to, key_state:)
          standing = volts(from, to, key_state: key_state).volt
          ohm = measured_ohm(from, to, key_state, standing)
          objection = Evidence::ResistancePreconditions.objections(resistance_ohm: ohm.finite? ? ohm : nil, voltage_across_volt: standing,
                                                                   reversed_ohm: nil).first
          raise RefusedError, "#{from} to #{to}: #{objection}" if objection

          ohm > OVER_RANGE_OHM ? Shown.new(over_range: true) : Shown.new(ohm: ohm, over_range: false)
        end

        private

        def lights?(volt) = volt.abs > LIGHTS_RATIO * @circuit.sheet.system_volt

        # A cold filament that would light no cold one is: it is as if a relay had held itself through it, which as it warms lets go.
        def cold(from, to, key_state, hot_ohm, hot_volt)
          ohm = hot_ohm * COLD_RATIO
          volt = volts_across(from, to, key_state, ohm)
          lights?(volt) ? [hot_ohm, hot_volt] : [ohm, volt]
        end

        def extra = @circuit.network.branches.size
        def branch(from, to, ohm, volt = 0.0) = Solving::Network::Branch.new(from: @circuit.node(from), to: @circuit.node(to), ohm: ohm, volt: volt)
        def with(*extra) = Solving::SettledStates.new(@circuit, opened: @settled.opened, network: @circuit.network_with(extra))

        def volts_across(from, to, key_state, ohm)
          with(branch(from, to, ohm)).fetch(key_state).solution.current(extra) * ohm
        end

        # A test source behind a known resistance; what it drives says what lies outside it.
        def measured_ohm(from, to, key_state, standing)
          source_ohm = 1000.0
          solution = with(branch(from, to, source_ohm, source_ohm * TEST_AMPERE)).fetch(key_state).solution
          ampere = -solution.current(extra)
          return Float::INFINITY if ampere.abs < 1e-15

          (((solution.current(extra) * source_ohm) + (source_ohm * TEST_AMPERE)) - standing) / ampere
        end
      end
    end
  end
end
