# frozen_string_literal: true

module Wattomneum
  module Charging
    # How the regulated voltage of a unit moves over months: a regulator that drifts tells so before it leaves its band.
    class Drift
      # Change worth a word, a year and per 12 V (ours): a meter and a thermometer make half of it.
      YEARLY_VOLT = 0.1
      YEAR_DAYS = 365.0
      # Soon enough to plan for (ours).
      AHEAD_DAYS = 365
      private_constant :YEARLY_VOLT, :YEAR_DAYS, :AHEAD_DAYS

      attr_reader :low_volt, :high_volt

      # @param points [Array<Array(Float, Float)>] day number, and volts at 25 degC
      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      def initialize(points, system:, limits: Limits::Table.shipped)
        band = Regulation.new(system, temperature_celsius: Regulation::REFERENCE_CELSIUS, limits: limits)
        @low_volt = band.low_volt
        @high_volt = band.high_volt
        @outlook = Numerics::Outlook.new(points)
        @last_day = points.map(&:first).max
        @blocks = system.blocks_in_series
        freeze
      end

      # @return [String, nil] why nothing can be said yet
      def missing = @outlook.missing

      # @return [Float, nil] volts a year
      def yearly_volt = @outlook.slope && (@outlook.slope * YEAR_DAYS)

      # @return [Boolean] whether it surely drifts by more than meters and weather make of it
      def drifts? = @outlook.moves? && yearly_volt.abs >= YEARLY_VOLT * @blocks

      # @return [Float, nil] day number at which it leaves its band; nil where it does not drift
      def leaves_day = (drifts? || nil) && @outlook.day_at(bound_volt, falling: falling?)

      # @return [Array(Float, nil), nil] earliest and latest day of that
      def leaves_between = (drifts? || nil) && @outlook.days_at(bound_volt, falling: falling?)

      # @return [String] sound, watch, or unproven as long as there is no line
      def verdict
        return 'unproven' if missing

        leaves_day && leaves_day < @last_day + AHEAD_DAYS ? 'watch' : 'sound'
      end

      # @return [String]
      def words
        return "No line yet: #{missing}" if missing

        a_year = "#{format('%+.2f', yearly_volt)} V a year"
        return "Steady: #{a_year}, within what meter and weather make of it" unless drifts?

        falling? ? "It falls, #{a_year}: brushes, sense wire, output path or belt" : "It rises, #{a_year}: sense wire or regulator ground"
      end

      private

      def falling? = @outlook.slope.negative?
      def bound_volt = falling? ? low_volt : high_volt
    end
  end
end
