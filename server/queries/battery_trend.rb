# frozen_string_literal: true

module Server
  module Queries
    # The health of batteries over time, from their standing tests: the median of each fortnight, so that what has been tested every week for
    # years is no longer a list than what was tested now and then. Tests that count and tests that do not are told apart.
    class BatteryTrend
      # Of each battery: one a week for four years.
      MOST_TESTS = 200
      FORTNIGHT_SECONDS = 14 * 86_400
      DAY_SECONDS = 86_400.0
      USABLE = %w[valid approximate].freeze
      private_constant :MOST_TESTS, :FORTNIGHT_SECONDS, :DAY_SECONDS, :USABLE

      # @param battery_ids [Array<String>]
      def initialize(battery_ids)
        @battery_ids = battery_ids
      end

      # @param battery_id [String]
      # @return [Array<Wattomneum::Batteries::ReplacementForecast::Point>] in time
      def points(battery_id)
        rows.fetch(battery_id, []).map do |row|
          Wattomneum::Batteries::ReplacementForecast::Point.new(day: row[:day], health_percent: row[:health], counts: row[:counts])
        end
      end

      private

      # SQL: select battery_id, counts, avg(day) as day, percentile_cont(0.5) within group (order by health) as health
      #      from (select battery_id, taken_at, 100 * value / rating_ampere, <its newest judgement is usable> from battery
      #            cross join lateral (its newest 200 standing tests) where battery.id in ?
      #       union all tests of shelf_check) as tests
      #      group by battery_id, counts, floor(epoch / 14 days) order by day
      def rows
        all = tests.union(shelf_tests, all: true, from_self: false).as(:tests)
        @rows ||= DB.from(all).group(:battery_id, :counts, Sequel.function(:floor, Sequel[:epoch] / FORTNIGHT_SECONDS))
                    .select(:battery_id, :counts, (Sequel.function(:avg, :epoch) / DAY_SECONDS).as(:day),
                            Sequel.function(:percentile_cont, 0.5).within_group(:health).as(:health))
                    .order(:day).all.group_by { |row| row[:battery_id] }
      end

      def tests
        usable = Sequel.function(:coalesce, Sequel[:judged][:validity], 'valid')
        Models::Battery.naked.where(Sequel[:battery][:id] => @battery_ids).cross_join(newest.lateral.as(:test))
                       .left_join(judged.lateral.as(:judged), true)
                       .select(Sequel[:battery][:id].as(:battery_id), Sequel.cast(Sequel.extract(:epoch, Sequel[:test][:taken_at]), Float).as(:epoch),
                               (Sequel.expr(100.0) * Sequel[:test][:value] / Sequel[:battery][:rating_ampere]).as(:health),
                               Sequel.expr(usable => USABLE).as(:counts))
      end

      # What a tester showed on the shelf.
      def shelf_tests
        Models::ShelfCheck.naked.join(:battery, id: Sequel[:shelf_check][:battery_id]).where(Sequel[:battery][:id] => @battery_ids)
                          .exclude(tester_ampere: nil)
                          .select(Sequel[:battery][:id].as(:battery_id), Sequel.cast(Sequel.extract(:epoch, :checked_at), Float).as(:epoch),
                                  (Sequel.expr(100.0) * :tester_ampere / Sequel[:battery][:rating_ampere]).as(:health),
                                  Sequel.expr(validity: USABLE).as(:counts))
      end

      def newest
        Models::Reading.standing.where(Sequel[:reading][:battery_id] => Sequel[:battery][:id], Sequel[:reading][:test_key] => 'battery_test')
                       .exclude(Sequel[:reading][:value] => nil).order(Sequel.desc(Sequel[:reading][:taken_at])).limit(MOST_TESTS)
                       .select(Sequel[:reading][:id], Sequel[:reading][:taken_at], Sequel[:reading][:value])
      end

      def judged
        Models::Judgement.where(reading_id: Sequel[:test][:id]).order(Sequel.desc(:made_at), :occasion).limit(1).select(:validity)
      end
    end
  end
end
