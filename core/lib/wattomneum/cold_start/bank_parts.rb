# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # The batteries of a bank as individuals, each by its label, its last test and its own volts at rest: how much resistance they make by label,
    # and what another one in its place does to that of the whole.
    class BankParts
      # health_ratio: measured against its label, by the same standard; rest_volt: its own; either nil where nobody read it
      Part = Struct.new(:position, :sae_ampere, :health_ratio, :rest_volt, keyword_init: true)
      # What stands on the shelf is charged.
      FULL_VOLT = 12.65
      private_constant :FULL_VOLT

      # @param parts [Array<Part>] of every position
      # @param system [Units::ElectricalSystem]
      # @param celsius [Float] at the crank test
      def initialize(parts, system:, celsius: Table.figure('untested', 'celsius'))
        @parts = parts
        @system = system
        @celsius = celsius
      end

      # @return [Boolean] whether each was tested by itself, and none is so flat that its volts at rest say nothing of it
      def tested? = @parts.all? { |part| part.health_ratio && part.rest_volt && six_cells(part.rest_volt) > flat_volt }

      # @return [String] position of the battery with the most resistance
      def weaker = @parts.max_by { |part| ohm(part) }.position

      # @return [Array<String>] positions
      def positions = @parts.map(&:position)

      # @param positions [Array<String>] whose batteries are replaced by new ones of the same label
      # @param health_ratio [Float] of those
      # @return [Float] resistance of the bank against now
      def ratio_with_new(positions, health_ratio: 1.0)
        changed = @parts.map { |part| positions.include?(part.position) ? otherwise(part, health_ratio, FULL_VOLT) : part }
        whole(changed) / (@whole ||= whole(@parts))
      end

      # @return [Float] ohm of the whole bank by labels and testers, at the charge of a unit that ran today
      def usual_ohm
        whole(@parts.map { |part| otherwise(part, part.health_ratio, Table.rest_volt(Inputs.usual_charge)) })
      end

      private

      def otherwise(part, health_ratio, six_cells_volt)
        part.dup.tap do |one|
          one.health_ratio = health_ratio
          one.rest_volt = six_cells_volt * @system.blocks_per_battery
        end
      end

      def six_cells(rest_volt) = rest_volt / @system.blocks_per_battery
      def flat_volt = Table.rest_volt(0.0)

      def whole(parts)
        sources = parts.map { |part| Batteries::Bank::Source.new(rest_volt: part.rest_volt, resistance_ohm: ohm(part)) }
        Batteries::Bank.equivalent(sources, arrangement: @system.arrangement).resistance_ohm
      end

      def ohm(part) = (@ohm ||= {}.compare_by_identity)[part] ||= resistance_ohm(part)

      def resistance_ohm(part)
        label, untested = %w[sae_ampere untested_health_ratio].map { |key| Table.figure('labels', key) }
        Batteries::InternalResistance.from_rating(
          measured_sae_ampere: (part.sae_ampere || label) * (part.health_ratio || untested), rest_volt: six_cells(part.rest_volt),
          temperature_celsius: @celsius, blocks: @system.blocks_per_battery,
          charge_percent: Batteries::StateOfCharge.from_rest_voltage(rest_volt: six_cells(part.rest_volt))
        )
      end
    end
  end
end
