# frozen_string_literal: true

module Wattomneum
  module Practice
    # The whole circuit of a unit with faults in it, and what is bolted on, hidden behind a Truth.
    class Wiring
      # What an engine asks for that cannot be turned.
      LOCKED_RATIO = 12.0
      KEY_ON = 'key_on'
      private_constant :KEY_ON

      # @return [Truth] with everything that is wrong
      attr_reader :truth
      # @return [Truth] the same unit at the same temperature with nothing wrong, on sound batteries
      attr_reader :sound
      # @return [Circuits::Sheet]
      attr_reader :sheet

      # @param drawn [Circuits::Sheet] its circuit as it is drawn
      # @param system [Units::ElectricalSystem]
      # @param faults [Array<Fault, UnitFault>]
      # @param seed [Integer]
      # @param temperature_celsius [Float] of engine and batteries
      # @param charge_percent [Hash{String => Float}] by position
      # @param health_ratio [Hash{String => Float}]
      def initialize(drawn:, system:, faults:, seed:, temperature_celsius:, charge_percent:, health_ratio:)
        @faults = faults
        @sheet_volt = system.system_volt
        @drawn = drawn
        @sheet = bolted_on(Circuits::Fitment.new(drawn, system: system, celsius: temperature_celsius, charge_percent: charge_percent,
                                                        health_ratio: health_ratio).sheet)
        @truth = Truth.new(sheet: @sheet, faults: [*faults.grep(Fault), *shorted], seed: seed)
        @sound = Truth.new(sheet: Circuits::Fitment.new(drawn, system: system, celsius: temperature_celsius).sheet, faults: [], seed: seed)
      end

      # @param place [String]
      # @return [String] its node
      def node(place) = @sheet.places.fetch(place)

      # @return [String, nil] id of the starter
      def starter = @drawn.loops.find { |loop| loop.key == 'start' }&.load

      # @return [String, nil] id of its solenoid
      def solenoid = part_at('solenoid_terminal')

      # @return [String, nil] id of the alternator
      def alternator = part_at('alternator_output')

      # @return [String, nil] id of the charge lamp
      def charge_lamp = part_at('charge_lamp')

      # @param place [String]
      # @return [Boolean]
      def place?(place) = @sheet.places.key?(place)

      # @param from [String] key of a place
      # @param to [String]
      # @param state [String] of a test of the catalogue
      # @return [Float] volts, without the meter's error
      def volt(from, to, state, **rest)
        state = Circuits::Situations.of_test(state).sheet_state
        truth.volt_between(node(from), node(to), state: state, **rest, loads: [*rest[:loads], *loads_on(state)])
      end

      # @param state [String] key state of the sheet
      # @return [Array<Array(String, String, Float)>] loads that are on in it: node, node, ohm
      def loads_on(state)
        ampere = amount('loads', 'on')
        ampere && state == KEY_ON ? [[node('positive_post'), node('negative_post'), @sheet_volt / ampere]] : []
      end

      # @param element [String]
      # @param kind [String]
      # @return [Boolean] whether that part of the unit, none of its circuit, is so
      def so?(element, kind) = @faults.grep(UnitFault).any? { |fault| fault.element == element && fault.kind == kind }

      # @param element [String]
      # @param kind [String]
      # @return [Float, nil] how much it is so
      def amount(element, kind) = @faults.grep(UnitFault).find { |fault| fault.element == element && fault.kind == kind }&.amount

      # @param fault [Fault]
      # @return [Circuits::Sheet::Item] what it sits in
      def item(fault) = @sheet.circuit.item(fault.item)

      # @return [Array<Fault>]
      def circuit_faults = @faults.grep(Fault)

      private

      def part_at(place) = @drawn.places[place]&.split(':', 2)&.first

      def bolted_on(sheet)
        changes = {}
        changes[starter] = harder(sheet.part(starter).fields) if starter && demand_ratio > 1
        changes[alternator] = turning(sheet.part(alternator).fields) if alternator
        changes.empty? ? sheet : sheet.with_parts(changes)
      end

      def demand_ratio = so?('engine', 'locked') ? LOCKED_RATIO : amount('engine', 'drags') || 1.0
      def harder(fields) = fields.merge('demand_ratio' => fields.fetch('demand_ratio', 1.0) * demand_ratio)

      # A winding that leads past the rest of it.
      def shorted
        ohm = amount('starter', 'shorted')
        ohm ? [Fault.short("#{starter} turning", ohm)] : []
      end

      # Volts of one that turns as it should, or of one that gives nothing; its field is drawn through the wire that it senses by.
      def turning(fields)
        drawn = fields['sense'] ? { 'sense_ohm' => FIELD_OHM * ((@sheet_volt / 12.0)**2) } : {}
        volt = fields['volt'] - (amount('alternator', 'low') || 0.0)
        fields.merge(drawn, 'volt' => volt, 'active_in' => so?('alternator', 'dead') ? [] : fields['active_in'])
      end

      # Of a 12 V system.
      FIELD_OHM = 9.0
      private_constant :FIELD_OHM
    end
  end
end
