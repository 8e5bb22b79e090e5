# frozen_string_literal: true

module Server
  module Presenters
    # A starter, an alternator or a relay: what its plate says, and its life.
    module Asset
      # @param asset [Models::Asset]
      def self.call(asset)
        kind = asset.core_kind
        { id: asset.id, kind: asset.kind, kind_label: kind.label, tag: asset.tag, rating: asset.rating, spoken: kind.spoken(asset.rating),
          note: asset.note, scrapped_at: asset.scrapped_at&.iso8601, scrapped_because: asset.scrapped_because }
      end

      # @param record [Queries::AssetRecord]
      def self.record(record)
        { **call(record.asset), fittings: record.fittings.map { |one| fitting(one) }, readings: record.readings.map { |row| reading(row, record) } }
      end

      def self.fitting(one)
        { unit_id: one.unit_id, unit: one.unit.number, label: one.label, from: one.during.begin.iso8601, to: one.during.end&.iso8601 }
      end

      def self.reading(row, record)
        judged = record.judgements[row.id]
        { **Reading.call(row).slice(:id, :label, :short, :spoken, :taken_at, :condition_line), job_id: row.job_id, verdict: judged&.verdict,
          summary: judged&.snapshot&.fetch('summary', nil) }
      end
      private_class_method :fitting, :reading
    end
  end
end
