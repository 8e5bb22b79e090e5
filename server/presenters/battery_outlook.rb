# frozen_string_literal: true

module Server
  module Presenters
    # When a battery's health will cross the limit, or why nobody can say yet, with the points it rests on.
    module BatteryOutlook
      DAY_SECONDS = 86_400
      private_constant :DAY_SECONDS

      # @param points [Array<Wattomneum::Batteries::ReplacementForecast::Point>]
      # @param limits [Wattomneum::Limits::Table]
      def self.call(points, limits:)
        forecast = Wattomneum::Batteries::ReplacementForecast.new(points, limits: limits)
        { points: points.map { |point| { day: day(point.day), health_percent: point.health_percent.round(1), counts: point.counts } },
          limit_percent: forecast.limit_percent, missing: forecast.missing, crosses_on: day(forecast.crossing_day),
          crosses_between: forecast.crossing_interval&.map { |number| day(number) } }
      end

      def self.day(number) = number && Time.at(number * DAY_SECONDS).utc.to_date.iso8601
      private_class_method :day
    end
  end
end
