# frozen_string_literal: true

module Wattomneum
  module Practice
    # The whole circuit of a unit with faults in it, and what is bolted on, hidden behind a Truth.
    class Wiring
      # What an engine asks for that can not be turned.
      LOCKED_RATIO = 12.0

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
        @truth = Truth.new(sheet: @sheet, faults: faults.grep(Fault), seed: seed)
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
        truth.volt_between(node(from), node(to), state: Circuits::Situations.of_test(state).sheet_state, **rest)
      end

      # @param element [String]
      # @param kind [String]
      # @return [Boolean] whether that part of the unit, none of its circuit, is so
      def so?(element, kind) = @faults.grep(UnitFault).any? { |fault| fault.element == element && fault.kind == kind }

      # @param fault [Fault]
      # @return [Circuits::Sheet::Item] what it sits in
      def item(fault) = @sheet.circuit.item(fault.item)

      # @return [Array<Fault>]
      def circuit_faults = @faults.grep(Fault)

      private

      def part_at(place) = @drawn.places[place]&.split(':', 2)&.first

      def bolted_on(sheet)
        changes = {}
        changes[starter] = locked(sheet.part(starter).fields) if so?('engine', 'locked') && starter
        changes[alternator] = turning(sheet.part(alternator).fields) if alternator
        changes.empty? ? sheet : sheet.with_parts(changes)
      end

      def locked(fields) = fields.merge('demand_ratio' => fields.fetch('demand_ratio', 1.0) * LOCKED_RATIO)

      # Volts of one that turns as it should, or of one that gives nothing; its field is drawn through the wire that it senses by.
      def turning(fields)
        drawn = fields['sense'] ? { 'sense_ohm' => FIELD_OHM * ((@sheet_volt / 12.0)**2) } : {}
        fields.merge(drawn, so?('alternator', 'dead') ? { 'active_in' => [] } : {})
      end

      # Of a 12 V system.
      FIELD_OHM = 9.0
      private_constant :FIELD_OHM
    end
  end
end
