# frozen_string_literal: true

module Wattomneum
  # Alternator, regulator, their feeds and drops.
  module Charging
    # The band of a regulated voltage at a temperature, and what is asked with the loads on.
    class Regulation
      REFERENCE_CELSIUS = 25.0
      # Ceilings of batteries that take less than the band (from memory), at 25 degC and per 12 V. Gel gets nothing on top.
      CEILINGS = { 'gel' => 'charging.ceiling_gel', 'agm' => 'charging.ceiling_agm' }.freeze

      attr_reader :low_volt, :high_volt, :over_volt, :steady_volt, :floor_volt, :loaded_volt, :hot_volt

      # Formula: limits at 25 degC shifted by -18 mV per degC and 12 V (24 V: -36 mV), never under the floor; overcharging over the
      # lesser of shifted upper limit + band and the cap; the ceiling of gel and AGM in place of the upper limit.
      # Source: band common practice; 3 mV per cell and degC handbook, from memory.
      #
      # @param system [Units::ElectricalSystem]
      # @param temperature_celsius [Float, nil] of the battery; nil is taken as 25 degC
      # @param limits [Limits::Table]
      # @example 12 V at -15 degC   # => 14.52 to 15.42 V
      def initialize(system, temperature_celsius:, limits: Limits::Table.shipped)
        @system = system
        @limits = limits
        @shift = volt('charging.shift_per_degree') * ((temperature_celsius || REFERENCE_CELSIUS) - REFERENCE_CELSIUS)
        @floor_volt = volt('charging.floor_least')
        @steady_volt = volt('charging.floor')
        @low_volt = shifted('charging.low', @steady_volt)
        @loaded_volt = shifted('charging.loaded_least', @floor_volt)
        find_top
        freeze
      end

      # @return [Array<String>] ids of the limits that made it
      def limit_ids
        %w[charging.low charging.high charging.shift_per_degree charging.floor charging.floor_least charging.over_band charging.over_cap] +
          [*ceiling]
      end

      # @return [Boolean] whether a battery stands there whose type nobody entered
      def type_unknown? = @system.positions.any? { |position| @system.batteries[position].nil? }

      private

      def volt(id) = @system.limit(id, limits: @limits).value
      def cap_volt = volt('charging.over_cap')
      def shifted(id, floor) = (volt(id) + @shift).clamp(floor, cap_volt)

      # Of several types in one bank the one that bears least.
      def ceiling
        types = @system.batteries.values_at(*@system.positions).compact.map(&:type)
        CEILINGS.values_at(*%w[gel agm].select { |type| types.include?(type) }).first
      end

      def find_top
        top = volt(ceiling || 'charging.high')
        band = ceiling == CEILINGS['gel'] ? 0.0 : volt('charging.over_band')
        @high_volt = (top + @shift).clamp(@low_volt, cap_volt)
        @over_volt = [@high_volt + band, cap_volt].min
        # A flooded battery in the heat bears a steady voltage up to here, watched.
        @hot_volt = ceiling ? @over_volt : volt('charging.hot_most').clamp(@over_volt, cap_volt)
      end
    end
  end
end
