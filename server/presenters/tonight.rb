# frozen_string_literal: true

module Server
  module Presenters
    # What will not start tonight: how cold it gets, a line a unit, and how good the list has been.
    class Tonight
      CORE = Wattomneum
      ACT = 0.5
      WATCH = 0.1
      LEAST_SPOKEN = 0.005
      # Named so often before it says how good it is.
      EARNED = 20

      def self.call(result) = new(result).call

      # @param result [Queries::Tonight::Result]
      def initialize(result)
        @result = result
      end

      def call
        lines = @result.lines.map { |one| line(one) }
        { nights: @result.yards.map { |yard| night(yard) }, lines: lines, others: @result.others, untested: @result.untested, record: record,
          plan: plan(lines) }
      end

      # @param key [String] of what limits a start
      # @return [String]
      def self.limited_by(key) = key == 'control_unit' ? 'its control unit drops out' : 'it turns too slowly'

      # @param celsius [Float]
      # @return [String] no figure is named that is colder than the chart of demand
      def self.spoken_celsius(celsius)
        coldest = CORE::ColdStart::Threshold::CHART_CELSIUS
        celsius < coldest ? "below #{CORE::Quantities::Figure.celsius(coldest)}" : CORE::Quantities::Figure.celsius(celsius.round)
      end

      # @param chance [Float]
      # @return [String] as people bet
      def self.spoken_chance(chance)
        return 'surely' if chance > 0.97
        return "#{(chance * 10).round} in 10" if chance >= 0.25

        chance < LEAST_SPOKEN ? 'hardly ever' : "1 in #{(1 / chance).round}"
      end

      # @param chance [Float] of no start
      # @param tested [Boolean]
      # @return [String]
      def self.verdict(chance, tested:)
        return 'act' if chance >= ACT
        return 'unproven' unless tested

        chance >= WATCH ? 'watch' : 'sound'
      end

      private

      def night(yard)
        kept = @result.nights[yard.id]
        dawn = @result.dawns.fetch(yard.id)
        { yard_id: yard.id, yard: yard.name, time_zone: yard.time_zone, dawn: dawn.iso8601, morning: dawn <= @result.today.fetch(yard.id),
          low_celsius: kept&.low_celsius, day_before_celsius: kept&.day_before_celsius, measured_celsius: kept&.measured_celsius,
          source: kept&.source, said_at: kept&.said_at&.iso8601 }
      end

      def line(one)
        row = one.row
        { unit_id: row[:unit_id], unit: "#{row[:number]} #{row[:name]}", yard_id: row[:yard_id], yard: row[:yard], chance: one.chance.round(3),
          chance_words: self.class.spoken_chance(one.chance), verdict: self.class.verdict(one.chance, tested: row[:tested]), words: words(one),
          celsius: one.evening.celsius.round(1), celsius_words: self.class.spoken_celsius(one.evening.celsius),
          spread_celsius: one.evening.spread.round(1),
          matters: CORE::ColdStart::Consequence.words(row[:matters]), nights_parked: one.nights_parked,
          tested: row[:tested], **planned(one),
          outcome: @result.outcomes[[row[:unit_id], @result.dawns.fetch(row[:yard_id])]], path: "/units/#{row[:unit_id]}" }
      end

      # The same night with what is ticked done.
      def planned(one)
        ticked = @result.plans.fetch([one.row[:unit_id], @result.dawns.fetch(one.row[:yard_id])], [])
        remedies = one.remedies.map { |remedy| { **remedy.transform_keys(&:to_sym), planned: ticked.include?(remedy['key']) } }
        won = remedies.select { |remedy| remedy[:planned] }.map { |remedy| remedy[:degrees] }
        chance = one.evening.chance(one.low_celsius, won_celsius: CORE::ColdStart::Remedies.together(won))
        { remedies: remedies, chance_planned: chance.round(3), chance_planned_words: won.any? ? self.class.spoken_chance(chance) : nil }
      end

      # How many of the list are expected not to start, as they stand and with what is ticked, and the minutes that takes.
      def plan(lines)
        ticked = lines.flat_map { |line| line[:remedies].select { |remedy| remedy[:planned] } }
        { minutes: ticked.sum { |remedy| remedy[:minutes] }, cautions: cautions(lines),
          failing: lines.sum { |line| line[:chance] }.round(1),
          failing_planned: lines.sum { |line| line[:chance_planned] }.round(1) }
      end

      # Of what is ticked, with what each kind of unit adds to them.
      def cautions(lines)
        lines.flat_map do |line|
          ids = line[:remedies].select { |remedy| remedy[:planned] }.flat_map { |one| CORE::ColdStart::Remedies::ROWS.dig(one[:key], 'cautions').to_a }
          ids.empty? ? [] : CORE::Safety::Cautions.on(CORE::Safety::Cautions.fetch_all(ids.uniq), @result.systems.fetch(line[:unit_id]))
        end.map(&:text).uniq
      end

      def words(one)
        odds = "Even odds at #{self.class.spoken_celsius(one.evening.celsius)}, give or take #{one.evening.spread.round}"
        return "#{odds}: #{self.class.limited_by(one.row[:limited_by])}" if one.row[:tested]

        "#{odds}. #{one.row[:read_at] ? 'Mended since it was read while cranking: read it again' : 'Never read while cranking: measure first'}"
      end

      def record
        told = @result.record
        { named: told.named, named_failed: told.named_failed, failed: told.failed, young: told.named < EARNED }
      end
    end
  end
end
