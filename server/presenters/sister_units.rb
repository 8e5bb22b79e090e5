# frozen_string_literal: true

module Server
  module Presenters
    # What sound sister units read, beside a reading: never in the place of its verdict.
    module SisterUnits
      CORE = Wattomneum

      # @param record [Queries::JobRecord]
      # @return [Hash{String => Hash}] by reading of that job; those that say nothing are left out
      def self.of_job(record)
        rows = record.readings.select { |row| row.test_key && row.value && record.assessment.judgements.key?(row.id) }
        baselines = Queries::ClassBaseline.new(record.unit, rows.map(&:test_key).uniq)
        rows.to_h { |row| [row.id, call(row, baselines)] }.compact
      end

      # @param row [Models::Reading]
      # @param baselines [Queries::ClassBaseline]
      # @return [Hash, nil] words, and whether it lies apart from them; nil where too few are known
      def self.call(row, baselines)
        baseline = baselines.of(row) or return
        say = ->(value) { CORE::Readings::Reading.new(id: '', test_key: row.test_key, taken_at: 0, value: value).spoken }
        { words: "Sound sister units: #{CORE::Quantities::Figure.give_or_take(baseline.median, baseline.spread, &say)} (#{baseline.count} of them)",
          far: baseline.far?(row.value) }
      end
    end
  end
end
