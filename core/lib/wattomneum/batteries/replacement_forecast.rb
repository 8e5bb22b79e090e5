# frozen_string_literal: true

module Wattomneum
  module Batteries
    # When a battery's health will fall under the limit, from its own history.
    class ReplacementForecast
      # One health value: day number, percent, and whether it was taken by the usual method at 75 % charge or more.
      Point = Struct.new(:day, :health_percent, :counts, keyword_init: true)

      # @return [Float] health under which a battery is replaced
      attr_reader :limit_percent

      # @param points [Array<Point>] points that do not count are left out of the line
      # @param limits [Limits::Table]
      def initialize(points, limits: Limits::Table.shipped)
        @outlook = Numerics::Outlook.new(points.select(&:counts).map { |point| [point.day, point.health_percent] })
        @limit_percent = limits.fetch('battery.health_least').value
      end

      # @return [String, nil] why there is no forecast yet
      def missing = @outlook.missing

      # @return [Float, nil] day number at which the line crosses the limit; nil when there is no forecast, no decline, or it is more than
      #   five years off
      def crossing_day = @outlook.day_at(limit_percent, falling: true)

      # @return [Array(Float, nil), nil] earliest and latest day of the 90 % interval; nil in it means never
      def crossing_interval = @outlook.days_at(limit_percent, falling: true)
    end
  end
end
