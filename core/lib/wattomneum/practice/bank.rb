# frozen_string_literal: true

module Wattomneum
  module Practice
    # The batteries of a unit, each in its condition, as testers and hydrometers read them.
    class Bank
      # Share of its rating that a battery still gives, and percent charged.
      Condition = Struct.new(:health_ratio, :charge_percent, keyword_init: true)
      FULL_PERCENT = 98.0

      # @param system [Units::ElectricalSystem]
      # @param random [Random] of the scatter between batteries and cells
      # @param temperature_celsius [Float]
      # @param conditions [Hash{String => Condition}] by position; sound where not given
      def initialize(system, random:, temperature_celsius:, conditions: {})
        @system = system
        @random = random
        @temperature_celsius = temperature_celsius
        @conditions = system.positions.to_h do |position|
          [position, conditions[position] || Condition.new(health_ratio: 0.96 + (random.rand * 0.06), charge_percent: 96.0)]
        end
      end

      # Charges the battery in a position to full.
      def charge(position)
        @conditions[position] = Condition.new(health_ratio: @conditions[position].health_ratio, charge_percent: FULL_PERCENT)
      end

      # @param faults [Array<UnitFault>]
      # @return [Hash{String => Float}] by position
      def charge_percent(faults) = with(faults, 'flat', :charge_percent)

      # @param faults [Array<UnitFault>]
      # @return [Hash{String => Float}] by position
      def health_ratio(faults) = with(faults, 'weak', :health_ratio)

      # @param position [String]
      # @param charge_percent [Float]
      # @return [Float] volts at rest, alone
      def open_volt(position, charge_percent)
        table = Batteries::Tables::DATA['rest_voltage'][battery(position).recombinant? ? 'agm' : 'flooded']['points']
        @system.blocks_per_battery * Numerics::PiecewiseLine.new(table.map(&:reverse)).clamped(charge_percent)
      end

      # @param position [String]
      # @param health_ratio [Float]
      # @return [Float] ampere as a tester set to its label would show, without its error
      def tester_ampere(position, health_ratio)
        sae_ampere(position, health_ratio) / Batteries::Rating::STANDARDS.fetch(battery(position).rating.standard)
      end

      # @param position [String]
      # @param charge_percent [Float]
      # @param health_ratio [Float]
      # @return [Float] volts under a load of half its rating
      def loaded_volt(position, charge_percent, health_ratio)
        volt = open_volt(position, charge_percent)
        blocks = @system.blocks_per_battery
        ohm = Batteries::InternalResistance.from_rating(measured_sae_ampere: sae_ampere(position, health_ratio), rest_volt: volt / blocks,
                                                        blocks: blocks,
                                                        charge_percent: charge_percent, temperature_celsius: @temperature_celsius)
        volt - (load_ampere(position) * ohm)
      end

      # @param position [String]
      # @return [Float] half its rating
      def load_ampere(position) = battery(position).rating.sae_ampere / 2

      # @param charge_percent [Float]
      # @return [Array<Float>] specific gravity, cell by cell
      def cells(charge_percent)
        line = Batteries::Tables::DATA['specific_gravity']['points'].map(&:reverse)
        gravity = Numerics::PiecewiseLine.new(line).clamped(charge_percent)
        shift = Batteries::StateOfCharge::SG_PER_STEP * (@temperature_celsius - Batteries::StateOfCharge::REFERENCE_CELSIUS) /
                Batteries::StateOfCharge::STEP_CELSIUS
        Array.new((6 * @system.blocks_per_battery).round) { (gravity - shift + ((@random.rand - 0.5) * 0.008)).round(3) }
      end

      private

      def battery(position) = @system.batteries.fetch(position)
      def sae_ampere(position, health_ratio) = battery(position).rating.sae_ampere * health_ratio

      def with(faults, kind, field)
        @system.positions.to_h do |position|
          worse = faults.find { |fault| fault.is_a?(UnitFault) && fault.kind == kind && fault.position == position }
          [position, worse ? worse.amount : @conditions.fetch(position).public_send(field)]
        end
      end
    end
  end
end
