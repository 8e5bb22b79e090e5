# frozen_string_literal: true

module Server
  module Presenters
    # A round of today: its steps, what was read at each, and what they say together.
    class Round
      CORE = Wattomneum
      DAY_SECONDS = 86_400
      private_constant :DAY_SECONDS

      # @param record [Queries::RoundRecord]
      # @param kind [CORE::Readings::Rounds::Round]
      def self.call(record, kind) = new(record, kind).call

      def initialize(record, kind)
        @record = record
        @kind = kind
        @system = record.system
      end

      def call
        steps = positioned.map { |step, position| shown(step, position) }
        answer = { unit: @record.unit.values.slice(:id, :number, :name), time_zone: @record.unit.yard.time_zone, day: @record.day.iso8601,
                   key: @kind.key, label: @kind.label, words: @kind.words,
                   kinds: CORE::Readings::Rounds::ALL.map { |one| { key: one.key, label: one.label } }, steps: steps, lines: lines, drift: drift }
        InItsWords.call(answer, @system)
      end

      private

      # Each battery by itself, one after the other.
      def positioned
        steps = @kind.steps(@system)
        alone, whole = steps.partition { |step| step.test.per_battery? }
        alone.empty? ? whole.map { |step| [step, nil] } : @system.positions.flat_map { |position| alone.map { |step| [step, position] } }
      end

      def shown(step, position)
        tests = step.together.select { |test| test.fits?(@system) }
        taken = [step.test, *tests].filter_map { |test| last(test, position) }
        { test: card(step.test), position: position, together: tests.map { |test| card(test) }, readings: taken }
      end

      def card(test) = TestCard.call(test, @system, @record.limits)

      def last(test, position)
        row = @record.readings.reverse.find { |one| one.test_key == test.key && one.position == position } or return
        { **Reading.call(row, judgement: @record.assessment.judgements[row.id]), sisters: SisterUnits.call(row, baselines) }
      end

      def baselines
        @baselines ||= Queries::ClassBaseline.new(@record.unit, @record.readings.map(&:test_key).uniq)
      end

      def lines
        return [] unless charging?

        session = CORE::Charging::Session.new(@record.readings.map(&:to_core), system: @system, limits: @record.limits)
        session.lines.map(&:to_h)
      end

      def charging? = @kind.key == 'charge'

      # Only where a lead-acid band holds.
      def drift
        return unless charging? && @system.lead_acid? && @system.lead_acid_volts?

        trend = Queries::ChargingTrend.new(@record.unit.id, system: @system, limits: @record.limits)
        drift = trend.drift
        { words: drift.words, verdict: drift.verdict, low_volt: drift.low_volt.round(2), high_volt: drift.high_volt.round(2),
          leaves_between: drift.leaves_between&.map { |number| day(number) },
          points: trend.points.map { |point| { day: day(point.day), volt: point.volt.round(2), counts: point.counts } } }
      end

      def day(number) = number && Time.at(number * DAY_SECONDS).utc.to_date.iso8601
    end
  end
end
