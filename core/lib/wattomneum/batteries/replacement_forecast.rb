# frozen_string_literal: true

module Wattomneum
  module Batteries
    # When a battery's health will fall under the limit, from its own history.
    class ReplacementForecast
      LEAST_READINGS = 3
      LEAST_DAYS = 60
      # Farther off than this is no forecast (ours).
      HORIZON_DAYS = 5 * 365
      # One health value: day number, percent, and whether it was taken by the usual method at 75 % charge or more.
      Point = Struct.new(:day, :health_percent, :counts, keyword_init: true)

      # @return [Float] health under which a battery is replaced
      attr_reader :limit_percent

      # Source: Theil-Sen line with its 90 % interval; least span common practice.
      #
      # @param points [Array<Point>] points that do not count are left out of the line
      # @param limits [Limits::Table]
      def initialize(points, limits: Limits::Table.shipped)
        @points = points.select(&:counts)
        @limit_percent = limits.fetch('battery.health_least').value
      end

      # @return [String, nil] why there is no forecast yet
      def missing
        return "#{LEAST_READINGS} readings are needed, #{@points.size} count" if @points.size < LEAST_READINGS

        span = @points.map(&:day).max - @points.map(&:day).min
        "#{LEAST_DAYS} days are needed, the readings span #{span.round}" if span < LEAST_DAYS
      end

      # @return [Float, nil] day number at which the line crosses the limit; nil when there is no forecast, no decline, or it is more than
      #   five years off
      def crossing_day
        day_at(line&.slope)
      end

      # @return [Array(Float, nil), nil] earliest and latest day of the 90 % interval; nil in it means never
      def crossing_interval
        line && [day_at(line.slope_interval.begin), day_at(line.slope_interval.end)]
      end

      private

      def line
        @line ||= missing ? nil : Numerics::TheilSen.new(@points.map { |point| [point.day, point.health_percent] })
      end

      # All slopes turn about the middle of the readings, where the line is best known.
      def day_at(slope)
        return if slope.nil? || slope >= 0

        days = @points.map(&:day)
        middle = days.sum / days.size.to_f
        health = line.intercept + (line.slope * middle)
        days_left = (@limit_percent - health) / slope
        middle + days_left if middle + days_left < days.max + HORIZON_DAYS
      end
    end
  end
end
