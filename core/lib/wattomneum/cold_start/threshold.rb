# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # The temperature of the air under which a unit is more likely than not to fail, at the charge of a unit that ran today, with its band.
    #
    # Formula: T0 where the smaller margin is 1; every input moves it by h = (margin(-sd) - margin(+sd)) / (2 m'); variance 1.35^2 sum h^2.
    class Threshold
      # Looked for within these; a unit that fails on a warm day, or never, is held at their end.
      SEARCHED_CELSIUS = (-60.0..40.0)
      # Colder than the chart of demand goes no figure is named.
      CHART_CELSIUS = Cranking::EngineDemand::COLDEST_CELSIUS.to_f
      # Where most of a fleet lie.
      USUAL_CELSIUS = -15.0
      private_constant :SEARCHED_CELSIUS, :USUAL_CELSIUS

      # @param inputs [Inputs]
      # @param charge_ratio [Float] that it is counted from
      # @param demand [#ratio] engine demand by oil temperature
      def initialize(inputs, charge_ratio: Inputs.usual_charge, demand: Table::LogDemand)
        @inputs = inputs
        @charge = charge_ratio
        @margins = Margins.new(inputs, demand: demand)
      end

      # @return [Float] degC
      def celsius = @celsius ||= found(@margins, @charge, from: USUAL_CELSIUS)

      # @return [Float] degC squared, scaled up and held to its least, as studies ask for
      def variance = [Table.figure('threshold', 'variance_ratio') * unscaled_variance, Table.figure('threshold', 'least_spread_celsius')**2].max

      # @return [Float] degC squared, of the inputs alone
      def unscaled_variance = shifts.each_value.sum { |shift| shift**2 }

      # @return [Hash{Symbol => Float}] by input: degC by which the threshold moves where it is one spread over its value
      def shifts
        @shifts ||= Inputs::KEYS.to_h { |key| [key, shift(key)] }
      end

      # What would narrow the band most, of what can be measured or asked.
      #
      # @return [Array<Array(Symbol, Float)>] inputs and degC, the largest first
      def narrowing
        shifts.select { |key, _| Table::INPUTS.dig(key.to_s, 'measure') }.transform_values(&:abs).sort_by { |_, degrees| -degrees }
      end

      # @return [Float] degC by which the threshold falls for a charge higher by 1.00
      def degrees_per_charge
        step = 0.05
        @degrees_per_charge ||= (@margins.least(celsius, @charge + step) - @margins.least(celsius, @charge - step)) / (2 * step * slope)
      end

      # @return [Float] degC by which the threshold falls for batteries warmer by 1 degC than on a usual night
      def degrees_per_battery_degree
        usual = celsius + @inputs.value(:battery_warmer_celsius)
        warm, cold = [1.0, -1.0].map { |by| @margins.least(celsius, @charge, battery_celsius: usual + by) }
        (warm - cold) / (2 * slope)
      end

      # Formula: ln 1.2 / slope of ln speed, times 1.5.
      #
      # @return [Float] degC over the threshold up to which a start is a slow one
      def slow_celsius
        fast, slow = [1.0, -1.0].map { |by| @margins.both(celsius + by, @charge).first }
        return Table.figure('threshold', 'least_spread_celsius') unless slow.positive? && fast > slow

        Table.figure('threshold', 'slow_band_ratio') * Math.log(Table.figure('threshold', 'slow_speed_ratio')) / (Math.log(fast / slow) / 2)
      end

      # @return [String] speed or control_unit: which runs out first
      def limited_by
        speed, posts = @margins.both(celsius, @charge)
        @inputs.control_unit? && posts < speed ? 'control_unit' : 'speed'
      end

      # @param mended [Mended]
      # @param charge_ratio [Float]
      # @return [Float] degC that its threshold is lower then
      def degrees_won(mended, charge_ratio: @charge)
        celsius - found(@margins.mended(mended), charge_ratio, from: celsius, slope: slope)
      end

      private

      # Of the smaller margin, a degree.
      def slope
        @slope ||= [(@margins.least(celsius + 1, @charge) - @margins.least(celsius - 1, @charge)) / 2, 1e-6].max
      end

      # What it was asked for last is what each input that is off is asked for.
      def at_threshold = @at_threshold ||= @margins.dup.tap { |margins| margins.least(celsius, @charge) }

      def shift(key)
        spread = @inputs.spread(key)
        return 0.0 if spread.zero? || (key == :control_unit_volt && !@inputs.control_unit?)

        under, over = [-spread, spread].map { |by| at_threshold.off(key, by).least(celsius, @charge) }
        (under - over) / (2 * slope)
      end

      # A margin rises with the temperature.
      def found(margins, charge, from:, slope: nil)
        Numerics::Root.about(SEARCHED_CELSIUS.begin, SEARCHED_CELSIUS.end, from: from, slope: slope) do |celsius|
          margins.least(celsius, charge) - 1.0
        end
      end
    end
  end
end
