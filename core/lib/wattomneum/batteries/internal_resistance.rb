# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Resistance inside a battery, from its cold cranking amperes or, better, from a crank test.
    module InternalResistance
      COLD_TEST_VOLT = 7.2
      # The formula's band; a measured value always wins.
      BAND_RATIO = 0.3

      # Formula: R(-18) = (OCV - 7.2 V) / CCA for six cells, as many times that as the battery has six; R(T) = R(-18) / c(T) / k(charge).
      # Source: SAE J537 end point; c and k common practice, from memory.
      # Valid for: near the CCA current, +-30 %; colder than -29 degC held at its value.
      #
      # @param measured_sae_ampere [Float] what the battery still gives, SAE, greater than 0 A
      # @param rest_volt [Float] open-circuit voltage of six cells
      # @param temperature_celsius [Float]
      # @param charge_percent [Float]
      # @param blocks [Float] of six cells: a half for a battery of 6 V
      # @return [Float] ohm
      # @example 850 A, 12.65 V, -18 degC, full   # => 0.00641
      def self.from_rating(measured_sae_ampere:, rest_volt:, temperature_celsius:, charge_percent: 100.0, blocks: 1.0)
        cold = blocks * (rest_volt - COLD_TEST_VOLT) / measured_sae_ampere
        cold / Tables.line('resistance_cold_factor').clamped(temperature_celsius) /
          Tables.line('resistance_charge_factor').clamped(charge_percent)
      end

      # Formula: R = (V_rest - V_posts) / I of a crank test; Ohm's law.
      #
      # @param rest_volt [Float]
      # @param cranking_volt [Float]
      # @param current_ampere [Float] greater than 0 A
      # @return [Float] ohm of the whole bank
      # @raise [InvalidQuantityError] if no current flows
      def self.measured(rest_volt:, cranking_volt:, current_ampere:)
        raise InvalidQuantityError.new('current_ampere must be over 0 A', field: 'current_ampere') unless
          current_ampere.positive?

        (rest_volt - cranking_volt) / current_ampere
      end
    end
  end
end
