# frozen_string_literal: true

module Wattomneum
  module Practice
    # A unit with hidden faults that answers every test of the catalogue, and every probe between two points of its circuit, as a real one
    # would, meter error included.
    class Unit
      METER_RATIO = 0.003
      CLAMP_RATIO = 0.02
      SPEED_RATIO = 0.01
      TESTER_RATIO = 0.02
      DRAWS_ASLEEP_AMPERE = 0.03
      # What was measured: what goes into a reading.
      Measured = Struct.new(:value, :observation, :cells, :conditions, :unit, :state, :overload, keyword_init: true)

      attr_reader :system, :faults, :temperature_celsius

      # @param system [Units::ElectricalSystem] with its batteries
      # @param seed [Integer] of the meter errors
      # @param faults [Array<Fault, UnitFault>]
      # @param temperature_celsius [Float] of engine and batteries
      # @param conditions [Hash{String => Bank::Condition}] by position; sound where not given
      # @param drawn [Circuits::Sheet] its circuit as it is drawn; the usual one where nothing is
      def initialize(system:, seed:, faults: [], temperature_celsius: 15.0, conditions: {}, drawn: Circuits::UsualSheets.drawn(system))
        @system = system
        @drawn = drawn
        @faults = faults
        @temperature_celsius = temperature_celsius
        @seed = seed
        @random = Random.new(seed)
        @bank = Bank.new(system, random: @random, temperature_celsius: temperature_celsius, conditions: conditions)
      end

      # @return [Circuits::Machine] its circuit as it is drawn, with nothing wrong
      def machine = @machine ||= Circuits::Fitment.new(@drawn, system: system).machine

      # Mends whatever fault sits in this part.
      #
      # @param element [String] of the unit, or nil
      # @param position [String, nil] of a battery
      # @param unit [String, nil] key of a repair unit of its circuit
      def mend(element: nil, position: nil, unit: nil)
        branches = unit_branches(unit || element)
        @faults = @faults.reject do |fault|
          fault.is_a?(Fault) ? machine.circuit.item(fault.item).branches.intersect?(branches) : fault.mended_by?(element, position)
        end
        @wiring = nil
      end

      # Charges the battery in a position to full.
      def charge(position)
        @bank.charge(position)
        @faults = @faults.reject { |fault| fault.is_a?(UnitFault) && fault.kind == 'flat' && fault.position == position }
        @wiring = nil
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

      # @param probe [Readings::Probe]
      # @param lamp_on [String, nil] node that a lamp hangs on meanwhile
      # @return [Measured]
      def read(probe, lamp_on: nil)
        return under_lamp(probe, lamp_on) if lamp_on
        return charging_drop(probe) if probe.by == 'volts' && probe.situation.start_with?('fast_idle')

        state = Circuits::Situations.on(wiring.sheet, probe.situation).sheet_state
        shown = wiring.truth.read(probe.by, probe.from, probe.to, state: state, opened: probe.opened)
        beside = probe.situation == 'cranking' ? { Evidence::EngineSaid::KEY => engine_meanwhile } : {}
        Measured.new(value: shown.value, overload: shown.overload, observation: shown.observation, conditions: beside)
      end

      # @return [Float] volts of the whole bank at rest
      def rest_volt = wiring.volt('positive_post', 'negative_post', 'off')

      private

      # By the circuit as it is drawn: the starter of a fault is what is mended as the starter.
      def unit_branches(key)
        units = machine.repair_units
        machine.circuit.owned.each_index.select { |index| units.of(index).key == key }
      end

      def measure_battery(test, position)
        case test.key
        when 'rest_voltage' then volts(@bank.open_volt(position, charge_percent(position)))
        when 'hydrometer' then Measured.new(cells: @bank.cells(charge_percent(position)))
        when 'battery_test' then by_tester(position)
        else
          volts(@bank.loaded_volt(position, charge_percent(position), health_ratio(position)), 'load_ampere' => @bank.load_ampere(position).round)
        end
      end

      # Somebody who set the tester to the label says so.
      def by_tester(position)
        Measured.new(value: noisy(@bank.tester_ampere(position, health_ratio(position)), TESTER_RATIO).round,
                     conditions: { 'tester_standard' => system.batteries.fetch(position).rating.standard })
      end

      def measure_unit(test) = test.loop == 'start' ? start_reading(test) : charge_reading(test)

      def start_reading(test)
        case test.key
        when 'cranking_behaviour' then Measured.new(observation: start.behaviour)
        when 'connections_look' then Measured.new(observation: 'clean')
        when 'engine_by_hand' then Measured.new(observation: start.locked? ? 'locked' : 'free')
        when 'ring_gear_look' then Measured.new(observation: 'whole')
        when 'cable_lamp' then Measured.new(observation: 'bright')
        when 'cranking_current' then Measured.new(value: noisy(start.ampere, CLAMP_RATIO).round)
        when 'cranking_speed' then Measured.new(value: noisy(start.speed_rpm, SPEED_RATIO).round)
        when 'signal_wire_ohms' then Measured.new(value: 0.1, conditions: { 'voltage_across_volt' => 0.0, 'reversed_ohm' => 0.1 })
        else volts(wiring.volt(test.from, test.to, test.state))
        end
      end

      def charge_reading(test)
        case test.key
        when 'belt_look' then Measured.new(observation: charging.belt)
        when 'charge_lamp_key_on' then Measured.new(observation: charging.lamp_key_on)
        when 'charge_lamp_apart' then Measured.new(observation: charging.lamp_apart)
        when 'charge_lamp_running' then Measured.new(observation: charging.lamp_running)
        when 'output_terminal_stopped', 'sense_feed', 'excitation_feed'
          volts(charging.feed_volt(test.from, test.state), 'charge_lamp_lights' => charging.lamp_goes_on(test.from, test.state))
        when 'charging_loaded' then volts(charging.posts_volt(loaded: true))
        when 'ripple' then Measured.new(value: noisy(charging.ripple_volt, 0.05).round(2))
        when 'alternator_output' then Measured.new(value: noisy(charging.most_ampere, CLAMP_RATIO).round)
        when 'draw_asleep' then Measured.new(value: DRAWS_ASLEEP_AMPERE)
        when 'dash_gauge' then Measured.new(value: (charging.posts_volt - (0.4 * @system.blocks_in_series)).round)
        when 'alternator_case_drop', 'alternator_output_drop' then at_current(charging.drop_volt(test.from, test.to))
        else volts(charging.posts_volt)
        end
      end

      # Without output the engine is stopped and a pile from B+ to case is the load.
      def at_current(volt)
        measured = volts(volt, 'current_ampere' => charging.output_ampere.round)
        measured.state = 'off' unless charging.charges?
        measured
      end

      def charging_drop(probe)
        volts(charging.drop_between(probe.from, probe.to), 'current_ampere' => charging.output_ampere.round)
      end

      def under_lamp(probe, terminal)
        state = Circuits::Situations.on(wiring.sheet, probe.situation).sheet_state
        volts(charging.volt_under_lamp(probe.from, probe.to, terminal, state), 'load_on' => 'yes')
      end

      def start = StartSide.new(wiring)

      # What somebody with an eye on the engine says of it while it is cranked.
      def engine_meanwhile = Evidence::EngineSaid.of(start.behaviour)
      def charging = ChargeSide.new(wiring, system)

      def wiring
        @wiring ||= Wiring.new(drawn: @drawn, system: system, faults: faults, seed: @seed, temperature_celsius: temperature_celsius,
                               charge_percent: @bank.charge_percent(faults), health_ratio: @bank.health_ratio(faults))
      end

      def charge_percent(position) = @bank.charge_percent(faults).fetch(position)
      def health_ratio(position) = @bank.health_ratio(faults).fetch(position)

      def conditions_for(test)
        keys = test.asked_conditions(system)
        said = keys.to_h { |key| [key, usual_answer(key)] }.compact
        said = said.merge(Evidence::EngineSaid::KEY => engine_meanwhile) if keys.include?(Evidence::EngineSaid::KEY)
        said = said.merge('setpoint_volt' => setpoint_volt) if keys.include?('setpoint_volt') && setpoint_volt
        keys.include?('posts_now_volt') ? said.merge('posts_now_volt' => posts_in(test.state)) : said
      end

      # Of what has one on its plate: nobody looks for that of an ordinary alternator.
      def setpoint_volt
        return if system.lead_acid? && !system.converter?

        machine.sheet.part(machine.sheet.places.fetch('alternator_output').split(':').first).fields['volt']
      end

      def posts_in(state) = noisy(wiring.volt('positive_post', 'negative_post', state), METER_RATIO).round(2)

      def usual_answer(key)
        return temperature_celsius if key == 'battery_temperature_celsius'
        return 8 if key == 'hours_rested'

        'yes' if Evidence::Conditions::DEFINITIONS.fetch(key)['kind'] == 'yes_no'
      end

      def volts(volt, conditions = nil)
        shown = noisy(volt, METER_RATIO).round(volt.abs < 0.4 ? 4 : 2)
        conditions = (conditions || {}).merge('meter_proved' => 'yes') if shown.abs < 0.02
        conditions = (conditions || {}).merge('value_confirmed' => 'yes')
        Measured.new(value: shown, conditions: conditions)
      end

      def noisy(value, ratio) = value * (1 + (ratio * ((@random.rand * 2) - 1)))
    end
  end
end
