# frozen_string_literal: true

module Wattomneum
  module Batteries
    # State of charge from rest voltage or from specific gravity.
    module StateOfCharge
      # Correction of a hydrometer: 0.004 per 5.6 degC (10 degF) away from 26.7 degC, added when warmer (from memory).
      SG_PER_STEP = 0.004
      STEP_CELSIUS = 5.6
      REFERENCE_CELSIUS = 26.7
      # Cell volts at rest are about SG + 0.845 (handbook, from memory).
      CELL_OFFSET_VOLT = 0.845
      CELLS = 6

      # Source: handbook rest-voltage tables at 25 degC, linear between points, clamped.
      # Valid for: a rested battery without surface charge.
      #
      # @param rest_volt [Float] of one 12 V battery
      # @param recombinant [Boolean] true for AGM and gel
      # @return [Float] percent, 0 to 100
      # @example 12.45 V, flooded   # => 75.0
      def self.from_rest_voltage(rest_volt:, recombinant: false)
        Tables::REST_VOLTAGE.fetch(recombinant ? 'agm' : 'flooded').clamped(rest_volt)
      end

      # The same table read the other way, for what a card says.
      #
      # @param charge_percent [Float]
      # @param recombinant [Boolean] true for AGM and gel
      # @return [Float] volts of one 12 V battery at rest
      # @example 75 %, flooded   # => 12.45
      def self.rest_voltage(charge_percent:, recombinant: false)
        Tables::REST_VOLT_BY_CHARGE.fetch(recombinant ? 'agm' : 'flooded').clamped(charge_percent)
      end

      # @param specific_gravity [Float] as read
      # @param electrolyte_celsius [Float]
      # @return [Float] specific gravity at 26.7 degC
      # @example 1.240 at 5 degC   # => 1.2245
      def self.corrected_gravity(specific_gravity:, electrolyte_celsius:)
        specific_gravity + (SG_PER_STEP * (electrolyte_celsius - REFERENCE_CELSIUS) / STEP_CELSIUS)
      end

      # @param specific_gravity [Float] corrected to 26.7 degC
      # @return [Float] percent, 0 to 100
      def self.from_gravity(specific_gravity:)
        Tables.line('specific_gravity').clamped(specific_gravity)
      end

      # The rest voltage that a specific gravity stands for: a cross-check of one instrument by the other.
      #
      # @param specific_gravity [Float] corrected to 26.7 degC
      # @return [Float] volts of a 12 V battery
      def self.volts_from_gravity(specific_gravity:)
        CELLS * (specific_gravity + CELL_OFFSET_VOLT)
      end

      # @param charge_percent [Float]
      # @return [Float] degC at which the electrolyte freezes; a wholly flat battery freezes at about -7 degC
      def self.freezing_celsius(charge_percent:)
        return Tables::DATA.fetch('freezing_celsius').fetch('flat_celsius').to_f if charge_percent <= 0

        Tables.line('freezing_celsius').clamped(charge_percent)
      end
    end
  end
end
