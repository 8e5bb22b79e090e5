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
        POINTS = Batteries::Tables::DATA.fetch('engine_demand_percent').fetch('points')
        LINE = Numerics::PiecewiseLine.new(POINTS.map { |celsius, percent| [celsius, Math.log(percent / 100.0)] })
        WARM_CELSIUS = POINTS.map(&:first).max
        private_constant :POINTS, :LINE, :WARM_CELSIUS

        # @param celsius [Float] of the oil
        # @return [Float] cranking torque as a ratio of that at 27 degC
        # @example -18 degC   # => 2.1
        def self.ratio(celsius) = celsius >= WARM_CELSIUS ? 1.0 : Math.exp(LINE.carried_on(celsius))
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
        return COLD.clamped(celsius) if celsius >= COLDEST_CELSIUS

        [COLD.carried_on(celsius), LEAST_STIFF].max
      end

      # @param charge_ratio [Float]
      # @return [Float] how stiff it is against a full one
      def self.charge_factor(charge_ratio) = CHARGE.clamped(charge_ratio * 100.0)

      # @param charge_ratio [Float]
      # @return [Float] open-circuit volts of one battery
      def self.rest_volt(charge_ratio) = Batteries::StateOfCharge.rest_voltage(charge_percent: charge_ratio * 100.0)

      COLDEST_CELSIUS = Batteries::Tables::DATA.fetch('resistance_cold_factor').fetch('points').map(&:first).min
      LEAST_STIFF = 0.2
      COLD = Batteries::Tables.line('resistance_cold_factor')
      CHARGE = Batteries::Tables.line('resistance_charge_factor')
      private_constant :COLD, :CHARGE, :COLDEST_CELSIUS, :LEAST_STIFF
    end
  end
end
