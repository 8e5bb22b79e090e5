# frozen_string_literal: true

module Server
  module Presenters
    # A unit on a cold morning: from which temperature on, what limits it, what to measure, what would help.
    class UnitStart
      CORE = Wattomneum

      def self.call(query) = new(query).call

      # @param query [Queries::UnitStart]
      def initialize(query)
        @query = query
      end

      def call
        { forecast: @query.row && forecast, parked_since: @query.unit.parked_since&.iso8601, nights_parked: @query.nights_parked,
          today: @query.today.iso8601, outcome: this_morning&.outcome, mornings: @query.mornings.map { |one| morning(one) },
          changes: @query.changes.map { |one| { id: one.id, on: one.on.iso8601, words: CORE::ColdStart::History::CHANGES.dig(one.kind, 'words') } } }
      end

      private

      def this_morning = @query.mornings.find { |one| one.dawn == @query.today }
      def row = @query.row
      def evening = @query.evening
      def low = @query.night&.low_celsius

      def forecast
        { verdict: verdict, spoken: Tonight.spoken_celsius(evening.celsius), spread_celsius: evening.spread.round,
          limited_by: Tonight.limited_by(row.limited_by), tested: row.tested, read_at: row.read_at&.iso8601, told: row.mornings,
          stands: stands, low_celsius: low, curve: curve, chance_words: low && Tonight.spoken_chance(evening.chance(low)),
          cautions: @query.may_freeze? ? cautions(%w[frozen_battery]) : [],
          measure: measure, remedies: @query.remedies.map { |one| remedy(one) } }
      end

      # How long it may stand, and by which draw that is counted.
      def stands
        nights = low ? row.nights_standing(@query.night) : 0
        return if nights.zero? || (nights == Models::Unit::MOST_NIGHTS && row.asleep_ampere.nil?)

        "At #{CORE::Quantities::Figure.celsius(low)} it may stand #{nights_words(nights)}, #{by_draw}"
      end

      def nights_words(nights)
        return 'two months and more' if nights == Models::Unit::MOST_NIGHTS

        nights == 1 ? '1 night' : "#{nights} nights"
      end

      def by_draw
        draw = CORE::Quantities::Figure.ampere(row.asleep_ampere || CORE::ColdStart::Table.figure('charge', 'awake_ampere'))
        row.asleep_ampere ? "by the #{draw} that it drew asleep" : "if it draws the usual #{draw} asleep: measure it"
      end

      # Degrees that are drawn, coldest first; the chart of demand ends there.
      DRAWN = (-30..12).step(2)
      private_constant :DRAWN

      # Tonight's chance of no start, were it as cold as that.
      def curve = DRAWN.map { |celsius| { celsius: celsius, percent: (evening.chance(celsius.to_f) * 100).round(1) } }

      def verdict
        return row.tested ? 'sound' : 'unproven' if low.nil?

        Tonight.verdict(evening.chance(low), tested: row.tested)
      end

      def measure
        row.narrowing.map do |key, degrees|
          { words: CORE::ColdStart::Table::INPUTS.dig(key, 'measure'), degrees: degrees.round(1) }
        end
      end

      # The same night with the threshold so much lower.
      def remedy(one)
        { key: one.key, words: one.words, degrees: one.degrees.round(1), minutes: one.minutes,
          chance_words: low && Tonight.spoken_chance(evening.chance(low, won_celsius: one.degrees)),
          cautions: cautions(one.cautions) }
      end

      # With what this kind of unit adds to them.
      def cautions(ids)
        CORE::Safety::Cautions.on(CORE::Safety::Cautions.fetch_all(ids), @query.unit.core_system).map(&:text)
      end

      def morning(one)
        { dawn: one.dawn.iso8601, outcome: one.outcome, low_celsius: one.low_celsius, chance_words: one.chance && Tonight.spoken_chance(one.chance) }
      end
    end
  end
end
