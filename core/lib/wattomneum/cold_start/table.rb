# frozen_string_literal: true

module Wattomneum
  # Which unit will not start on a cold morning: one threshold temperature a unit with its band, worked out when something is measured, moved
  # by what happens each morning.
  module ColdStart
    # core/data/cold_start.yml, and the lines of battery and engine that a forecast runs along.
    module Table
      DATA = DataFile.load('cold_start')
      INPUTS = DATA.fetch('inputs')

      # Demand is interpolated in its logarithm: straight lines have kinks, at which the thresholds of a fleet would pile up. Beyond the coldest
      # point of the chart it is carried on, to tell apart what a forecast only calls colder than the chart.
      module LogDemand
        POINTS = Batteries::Tables::DATA.fetch('engine_demand_percent').fetch('points').sort.map do |celsius, percent|
          [celsius.to_f, Math.log(percent / 100.0)]
        end.freeze

        # @param celsius [Float] of the oil
        # @return [Float] cranking torque as a ratio of that at 27 degC
        # @example -18 degC   # => 2.1
        def self.ratio(celsius)
          return 1.0 if celsius >= POINTS.last.first

          upper = (POINTS.index { |point, _| point > celsius } || 0).clamp(1..)
          (cold, low), (warm, high) = POINTS[upper - 1], POINTS[upper]
          Math.exp(low + ((high - low) * (celsius - cold) / (warm - cold)))
        end
      end

      # @param section [String] of the file
      # @param key [String]
      # @return [Float]
      def self.figure(section, key) = DATA.fetch(section).fetch(key).to_f

      # Carried on beyond its coldest point, or a heated engine would start in any cold.
      #
      # @param celsius [Float] of the battery
      # @return [Float] how stiff it is against -18 degC
      def self.cold_factor(celsius)
        return COLD.clamped(celsius) if celsius >= COLDEST.first

        [COLDEST.last + (COLD_SLOPE * (celsius - COLDEST.first)), LEAST_STIFF].max
      end

      # @param charge_ratio [Float]
      # @return [Float] how stiff it is against a full one
      def self.charge_factor(charge_ratio) = CHARGE.clamped(charge_ratio * 100.0)

      # @param charge_ratio [Float]
      # @return [Float] open-circuit volts of one battery
      def self.rest_volt(charge_ratio) = Batteries::StateOfCharge.rest_voltage(charge_percent: charge_ratio * 100.0)

      COLDEST, NEXT_COLDEST = Batteries::Tables::DATA.fetch('resistance_cold_factor').fetch('points').sort.first(2)
      COLD_SLOPE = (NEXT_COLDEST.last - COLDEST.last) / (NEXT_COLDEST.first - COLDEST.first).to_f
      LEAST_STIFF = 0.2
      COLD = Batteries::Tables.line('resistance_cold_factor')
      CHARGE = Batteries::Tables.line('resistance_charge_factor')
      private_constant :COLD, :CHARGE, :COLDEST, :NEXT_COLDEST, :COLD_SLOPE, :LEAST_STIFF
    end
  end
end
