# frozen_string_literal: true

module Wattomneum
  module Practice
    # A unit with hidden faults that answers every test of the catalogue as a real one would, meter error included: its start side is its own
    # circuit, with what is bolted on.
    class Unit
      METER_RATIO = 0.003
      CLAMP_RATIO = 0.02
      TESTER_RATIO = 0.02
      # Condition of a battery: share of its rating it still gives, and percent charged.
      Condition = Struct.new(:health_ratio, :charge_percent, keyword_init: true)
      # What was measured: what goes into a reading.
      Measured = Struct.new(:value, :observation, :cells, :conditions, :unit, :state, keyword_init: true)

      attr_reader :system, :faults, :temperature_celsius

      # @param system [Systems::ElectricalSystem] with its batteries
      # @param faults [Array<UnitFault>]
      # @param seed [Integer] of the meter errors
      # @param temperature_celsius [Float] of engine and batteries
      # @param conditions [Hash{String => Condition}] by position; sound where not given
      def initialize(system:, seed:, faults: [], temperature_celsius: 15.0, conditions: {})
        @system = system
        @faults = faults
        @temperature_celsius = temperature_celsius
        @seed = seed
        @random = Random.new(seed)
        @conditions = system.positions.to_h do |position|
          [position, conditions[position] || Condition.new(health_ratio: 0.96 + (@random.rand * 0.06), charge_percent: 96.0)]
        end
      end

      # Mends whatever fault sits in this part.
      def mend(element, position = nil)
        @faults = @faults.reject { |fault| fault.mended_by?(element, position) }
        @start = nil
      end

      # Charges the battery in a position to full.
      def charge(position)
        @conditions[position] = Condition.new(health_ratio: @conditions[position].health_ratio, charge_percent: 98.0)
        @faults = @faults.reject { |fault| fault.kind == 'flat' && fault.position == position }
        @start = nil
      end

      # @param test_key [String]
      # @param position [String, nil]
      # @return [Measured]
      def measure(test_key, position: nil)
        test = Readings::Catalogue.fetch(test_key)
        measured = test.per_battery? ? measure_battery(test, position) : measure_unit(test)
        measured.state ||= test.state
        measured.conditions = conditions_for(test).merge(measured.conditions || {})
        measured
      end

      # @return [Float] volts of the whole bank at rest
      def rest_volt = start.rest_volt

      private

      def measure_battery(test, position)
        case test.key
        when 'rest_voltage' then volts(open_volt(position))
        when 'hydrometer' then Measured.new(cells: cells(position))
        when 'battery_test'
          Measured.new(value: noisy(sae_ampere(position) / standard_factor(position), TESTER_RATIO).round)
        else
          load = system.batteries.fetch(position).rating.sae_ampere / 2
          volts(open_volt(position) - (load * source(position).resistance_ohm), 'load_ampere' => load.round)
        end
      end

      def measure_unit(test)
        return start_reading(test) if test.loop == 'start'

        charge_reading(test.key)
      end

      def start_reading(test)
        case test.key
        when 'cranking_behaviour' then Measured.new(observation: start.behaviour)
        when 'connections_look' then Measured.new(observation: 'clean')
        when 'engine_by_hand' then Measured.new(observation: locked? ? 'locked' : 'free')
        when 'cable_lamp' then Measured.new(observation: 'bright')
        when 'cranking_current' then Measured.new(value: noisy(start.ampere, CLAMP_RATIO).round)
        when 'signal_wire_ohms' then Measured.new(value: 0.1, conditions: { 'voltage_across_volt' => 0.0, 'reversed_ohm' => 0.1 })
        else volts(start.volt(test.from, test.to, test.state))
        end
      end

      def charge_reading(key)
        case key
        when 'belt_look' then Measured.new(observation: charge_circuit.belt)
        when 'charge_lamp_key_on' then Measured.new(observation: charge_circuit.lamp_key_on)
        when 'charge_lamp_running' then Measured.new(observation: charge_circuit.lamp_running)
        when 'output_terminal_stopped' then volts(charge_circuit.feed_volt('output_cable'))
        when 'sense_feed' then volts(charge_circuit.feed_volt('sense_wire'))
        when 'excitation_feed' then volts(charge_circuit.feed_volt('excitation_wire'))
        when 'charging_loaded' then volts(charge_circuit.posts_volt(loaded: true))
        when 'ripple' then Measured.new(value: noisy(charge_circuit.ripple_volt, 0.05).round(2))
        when 'alternator_output' then Measured.new(value: noisy(charge_circuit.most_ampere, CLAMP_RATIO).round)
        when 'dash_gauge' then Measured.new(value: (charge_circuit.posts_volt - (0.4 * @system.system_volt / 12)).round)
        when 'alternator_case_drop' then at_current(charge_circuit.case_drop_volt)
        when 'alternator_output_drop' then at_current(charge_circuit.output_drop_volt)
        else volts(charge_circuit.posts_volt)
        end
      end

      # Without output the engine is stopped and a pile from B+ to case is the load.
      def at_current(volt)
        measured = volts(volt, 'current_ampere' => charge_circuit.output_ampere.round)
        measured.state = 'off' unless charge_circuit.charges?
        measured
      end

      def start
        @start ||= StartSide.new(system: system, faults: faults, seed: @seed, temperature_celsius: temperature_celsius,
                                 charge_percent: by_position { |position| charge_percent(position) },
                                 health_ratio: by_position { |position| health_ratio(position) })
      end

      def by_position = system.positions.to_h { |position| [position, yield(position)] }

      def charge_circuit
        ChargeSide.new(system: system, rest_volt: rest_volt, faults: faults, temperature_celsius: temperature_celsius)
      end

      def locked? = faults.any? { |fault| fault.element == 'engine' }

      def charge_percent(position)
        flat = faults.find { |fault| fault.kind == 'flat' && fault.position == position }
        flat ? flat.amount : @conditions.fetch(position).charge_percent
      end

      def health_ratio(position)
        weak = faults.find { |fault| fault.kind == 'weak' && fault.position == position }
        weak ? weak.amount : @conditions.fetch(position).health_ratio
      end

      def open_volt(position)
        battery = system.batteries.fetch(position)
        table = Batteries::Tables::DATA['rest_voltage'][battery.recombinant? ? 'agm' : 'flooded']['points']
        Numerics::PiecewiseLine.new(table.map(&:reverse)).clamped(charge_percent(position))
      end

      def sae_ampere(position) = system.batteries.fetch(position).rating.sae_ampere * health_ratio(position)

      def standard_factor(position)
        Batteries::Rating::STANDARDS.fetch(system.batteries.fetch(position).rating.standard)
      end

      def source(position)
        source_of(open_volt(position), sae_ampere(position), charge_percent(position))
      end

      def source_of(volt, ampere, charge)
        ohm = Batteries::InternalResistance.from_rating(measured_sae_ampere: ampere, rest_volt: volt, charge_percent: charge,
                                                        temperature_celsius: temperature_celsius)
        Batteries::Bank::Source.new(rest_volt: volt, resistance_ohm: ohm)
      end

      def cells(position)
        line = Batteries::Tables::DATA['specific_gravity']['points'].map(&:reverse)
        gravity = Numerics::PiecewiseLine.new(line).clamped(charge_percent(position))
        shift = Batteries::StateOfCharge::SG_PER_STEP * (temperature_celsius - Batteries::StateOfCharge::REFERENCE_CELSIUS) /
                Batteries::StateOfCharge::STEP_CELSIUS
        Array.new(6) { (gravity - shift + ((@random.rand - 0.5) * 0.008)).round(3) }
      end

      def conditions_for(test)
        keys = test.asked_conditions(system)
        said = keys.to_h { |key| [key, usual_answer(key)] }.compact
        keys.include?('posts_now_volt') ? said.merge('posts_now_volt' => posts_in(test.state)) : said
      end

      def posts_in(state) = noisy(start.volt('positive_post', 'negative_post', state == 'cranking' ? 'cranking' : 'off'), METER_RATIO).round(2)

      def usual_answer(key)
        return temperature_celsius if key == 'battery_temperature_celsius'
        return 8 if key == 'hours_rested'

        'yes' if Evidence::Conditions::DEFINITIONS.fetch(key)['kind'] == 'yes_no'
      end

      def volts(volt, conditions = nil)
        shown = noisy(volt, METER_RATIO).round(2)
        conditions = (conditions || {}).merge('meter_proved' => 'yes') if shown.zero?
        conditions = (conditions || {}).merge('value_confirmed' => 'yes')
        Measured.new(value: shown, conditions: conditions)
      end

      def noisy(value, ratio) = value * (1 + (ratio * ((@random.rand * 2) - 1)))
    end
  end
end
