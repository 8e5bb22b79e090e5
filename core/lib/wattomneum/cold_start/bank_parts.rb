# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # The batteries of a bank as individuals, each by its label, its last test and its own volts at rest: what another one in its place does to
    # the resistance of the whole.
    class BankParts
      # health_ratio: measured against its label, by the same standard; rest_volt: its own
      Part = Struct.new(:position, :sae_ampere, :health_ratio, :rest_volt, keyword_init: true)
      # What stands on the shelf is charged.
      FULL_VOLT = 12.65
      private_constant :FULL_VOLT

      # @param parts [Array<Part>] of every position, each tested
      # @param arrangement [String] single, parallel or series
      # @param celsius [Float] at the crank test
      def initialize(parts, arrangement:, celsius:)
        @parts = parts
        @arrangement = arrangement
        @celsius = celsius
      end

      # @return [String] position of the battery with the most resistance
      def weaker = @parts.max_by { |part| ohm(part) }.position

      # @return [Array<String>] positions
      def positions = @parts.map(&:position)

      # @param positions [Array<String>] whose batteries are replaced by new ones of the same label
      # @param health_ratio [Float] of those
      # @return [Float] resistance of the bank against now
      def ratio_with_new(positions, health_ratio: 1.0)
        changed = @parts.map do |part|
          positions.include?(part.position) ? Part.new(**part.to_h, health_ratio: health_ratio, rest_volt: FULL_VOLT) : part
        end
        whole(changed) / whole(@parts)
      end

      private

      def whole(parts)
        sources = parts.map { |part| Batteries::Bank::Source.new(rest_volt: part.rest_volt, resistance_ohm: ohm(part)) }
        Batteries::Bank.equivalent(sources, arrangement: @arrangement).resistance_ohm
      end

      def ohm(part)
        Batteries::InternalResistance.from_rating(
          measured_sae_ampere: part.sae_ampere * part.health_ratio, rest_volt: part.rest_volt, temperature_celsius: @celsius,
          charge_percent: Batteries::StateOfCharge.from_rest_voltage(rest_volt: part.rest_volt)
        )
      end
    end
  end
end
