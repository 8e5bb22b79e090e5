# frozen_string_literal: true

module Wattomneum
  module Wiring
    # Resistances together, lamps, strands, and whether an ohmmeter can see what matters.
    module Resistances
      # A value has to stand this many steps of the meter clear of zero to mean anything (common practice).
      STEPS_TO_TRUST = 5
      STRAND = Conductor::TABLES['strand_melts']
      private_constant :STRAND

      # @param ohms [Array<Float>] each greater than 0
      # @return [Float] ohm
      # @raise [InvalidQuantityError] for an empty list or a resistance not over 0
      def self.parallel(ohms)
        check(ohms)
        1 / ohms.sum { |ohm| 1.0 / ohm }
      end

      # @param ohms [Array<Float>]
      # @return [Float] ohm
      # @raise [InvalidQuantityError] for an empty list or a resistance not over 0
      def self.series(ohms)
        check(ohms)
        ohms.sum
      end

      # Formula: R = V^2 / P, a tenth of it cold. Source: Ohm's law; cold share common practice.
      #
      # @param volt [Float] rated
      # @param watt [Float] rated, greater than 0
      # @return [Array(Float, Float)] ohm hot and cold
      # @example 12 V, 21 W   # => [6.86, 0.686]
      def self.lamp_ohm(volt:, watt:)
        raise InvalidQuantityError.new('watt must be over 0', field: 'watt') unless watt.positive?

        hot = volt * volt / watt
        [hot, hot * Conductor::TABLES['lamp_resistance']['cold_ratio']]
      end

      # Formula: R = limit / current against five steps of the meter. Source: common practice.
      #
      # @param limit_volt [Float] drop allowed at the working current
      # @param working_ampere [Float] greater than 0
      # @param resolution_ohm [Float] one step of the meter on its lowest range
      # @return [Array(Float, Boolean)] ohm that would fail it, and whether this meter can tell
      # @example 0.3 V at 600 A with a 0.1 ohm step   # => [0.0005, false]
      def self.ohmmeter_fit(limit_volt:, working_ampere:, resolution_ohm: 0.1)
        failing = Evidence::LoadAdequacy.failing_ohm(limit_volt: limit_volt, working_ampere: working_ampere)
        [failing, failing > STEPS_TO_TRUST * resolution_ohm]
      end

      # Formula: I = 80 d^1.5. Source: fusing current of copper, handbook, from memory.
      #
      # @param diameter_mm [Float] of one strand
      # @return [Float] ampere at which it melts
      # @example 0.2 mm   # => 7.2
      def self.strand_melts_ampere(diameter_mm:) = STRAND['factor'] * (diameter_mm**STRAND['exponent'])

      # Formula: strands = I / (80 d^1.5): with no more than these left, the lamp's current burns through.
      #
      # @param load_ampere [Float]
      # @param diameter_mm [Float]
      # @return [Float]
      def self.strands_exposed(load_ampere:, diameter_mm:) = load_ampere / strand_melts_ampere(diameter_mm: diameter_mm)

      def self.check(ohms)
        return if ohms.any? && ohms.all?(&:positive?)

        raise InvalidQuantityError.new('give one resistance or more, each over 0 ohm', field: 'ohms')
      end
      private_class_method :check
    end
  end
end
