# frozen_string_literal: true

module Wattomneum
  # Alternator, regulator, their feeds and drops.
  module Charging
    # The band of a regulated voltage at a temperature.
    class Regulation
      REFERENCE_CELSIUS = 25.0
      attr_reader :low_volt, :high_volt, :over_volt

      # Formula: limits at 25 degC shifted by -18 mV per degC and 12 V (24 V: -36 mV), never under the floor;
      # overcharging over the lesser of shifted upper limit + band and the cap.
      # Source: band common practice; 3 mV per cell and degC handbook, from memory.
      #
      # @param system [Systems::ElectricalSystem]
      # @param temperature_celsius [Float, nil] of the battery; nil is taken as 25 degC
      # @param limits [Limits::Table]
      # @example 12 V at -15 degC   # => 14.52 to 15.42 V
      def initialize(system, temperature_celsius:, limits: Limits::Table.shipped)
        limit = ->(id) { system.limit(id, limits: limits).value }
        shift = limit.call('charging.shift_per_degree') * ((temperature_celsius || REFERENCE_CELSIUS) - REFERENCE_CELSIUS)
        @low_volt = [limit.call('charging.low') + shift, limit.call('charging.floor')].max
        @high_volt = [limit.call('charging.high') + shift, @low_volt].max
        @over_volt = [@high_volt + limit.call('charging.over_band'), limit.call('charging.over_cap')].min
        freeze
      end
    end
  end
end
