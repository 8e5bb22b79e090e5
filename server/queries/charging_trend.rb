# frozen_string_literal: true

module Server
  module Queries
    # The regulated voltage of a unit over time, each as it would be at 25 degC.
    class ChargingTrend
      KEY = 'charging_fast_idle'
      # Of one unit: one a week for four years.
      MOST = 200
      DAY_SECONDS = 86_400.0
      private_constant :KEY, :MOST, :DAY_SECONDS
      # counts: whether its batteries' temperature was said and it may be judged at all
      Point = Struct.new(:day, :volt, :counts, keyword_init: true)

      # @param unit_id [String]
      # @param system [Wattomneum::Units::ElectricalSystem]
      # @param limits [Wattomneum::Limits::Table]
      def initialize(unit_id, system:, limits:)
        @unit_id = unit_id
        @system = system
        @limits = limits
      end

      # SQL: select * from reading where unit_id = ? and test_key = 'charging_fast_idle' and <standing> and value is not null
      #      order by taken_at desc limit 200; their newest judgements
      #
      # @return [Array<Point>] in time
      def points
        @points ||= begin
          rows = Models::Reading.standing.where(unit_id: @unit_id, test_key: KEY).exclude(value: nil).order(Sequel.desc(:taken_at)).limit(MOST).all
          judged = Models::Judgement.newest_of(rows.map(&:id))
          rows.reverse.map { |row| point(row, judged[row.id]) }
        end
      end

      # @return [Wattomneum::Charging::Drift]
      def drift
        counting = points.select(&:counts).map { |point| [point.day, point.volt] }
        Wattomneum::Charging::Drift.new(counting, system: @system, limits: @limits)
      end

      private

      def point(row, judgement)
        corrected = Wattomneum::Charging::Session.at_reference(row.to_core, @system, @limits)
        usable = judgement.nil? || %w[valid approximate].include?(judgement.validity)
        Point.new(day: row.taken_at.to_f / DAY_SECONDS, volt: corrected || row.value, counts: usable && !corrected.nil?)
      end
    end
  end
end
