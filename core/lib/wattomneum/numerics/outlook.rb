# frozen_string_literal: true

module Wattomneum
  module Numerics
    # Where a robust line through few readings goes: when it reaches a limit, with its interval, or why nobody can say yet.
    class Outlook
      LEAST_READINGS = 3
      LEAST_DAYS = 60
      # Farther off than this is no forecast (ours).
      HORIZON_DAYS = 5 * 365

      # Source: Theil-Sen line with its 90 % interval; least span common practice.
      #
      # @param points [Array<Array(Float, Float)>] day number and figure
      def initialize(points)
        @points = points
        @line = missing ? nil : TheilSen.new(points)
        freeze
      end

      # @return [String, nil] why there is no line yet
      def missing
        return "#{LEAST_READINGS} readings are needed, #{@points.size} count" if @points.size < LEAST_READINGS

        span = days.max - days.min
        "#{LEAST_DAYS} days are needed, the readings span #{span.round}" if span < LEAST_DAYS
      end

      # @return [Float, nil] figure per day
      def slope = @line&.slope

      # @return [Boolean] whether it surely goes up or surely down, by its interval
      def moves? = !@line.nil? && !@line.slope_interval.cover?(0.0)

      # @param limit [Float]
      # @param falling [Boolean] whether the limit is reached from above
      # @return [Float, nil] day number at which the line reaches it; nil when there is no line, it goes the other way, or it is more than five
      #   years off
      def day_at(limit, falling:) = @line && reached(limit, @line.slope, falling)

      # @return [Array(Float, nil), nil] earliest and latest day of the 90 % interval; nil in it means never
      def days_at(limit, falling:)
        return if @line.nil?

        steepest, flattest = [@line.slope_interval.begin, @line.slope_interval.end].then { |ends| falling ? ends : ends.reverse }
        [steepest, flattest].map { |slope| reached(limit, slope, falling) }
      end

      private

      def days = @points.map(&:first)

      # All slopes turn about the middle of the readings, where the line is best known.
      def reached(limit, slope, falling)
        return if falling ? slope >= 0 : slope <= 0

        middle = days.sum / days.size.to_f
        days_left = (limit - (@line.intercept + (@line.slope * middle))) / slope
        middle + days_left if middle + days_left < days.max + HORIZON_DAYS
      end
    end
  end
end
