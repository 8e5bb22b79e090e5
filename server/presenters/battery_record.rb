# frozen_string_literal: true

module Server
  module Presenters
    # A battery's own page: label, where it stood, what was read, what becomes of its health.
    module BatteryRecord
      # @param record [Queries::BatteryRecord]
      def self.call(record)
        battery = record.battery
        { **Battery.call(battery), scrapped_at: battery.scrapped_at&.iso8601, scrapped_because: battery.scrapped_because,
          place: record.current && place(record.current), fittings: record.fittings.map { |fitting| place(fitting) },
          health_percent: record.state&.health_percent&.round(1), verdict: record.state&.verdict, tested_at: record.state&.tested_at&.iso8601,
          outlook: BatteryOutlook.call(record.trend, limits: record.limits), readings: record.readings.map { |row| reading(row, record) },
          checks: record.checks.map { |check| shelf_check(check) } }
      end

      def self.place(fitting)
        { unit_id: fitting.unit_id, unit: fitting.unit.number, position: fitting.position, from: fitting.during.begin.iso8601,
          to: fitting.during.end&.iso8601 }
      end

      def self.reading(row, record)
        judged = record.judgements[row.id]
        { **Reading.call(row).slice(:id, :label, :short, :spoken, :taken_at, :condition_line), job_id: row.job_id, verdict: judged&.verdict,
          summary: judged&.snapshot&.fetch('summary', nil) }
      end

      def self.shelf_check(check)
        { id: check.id, rest_volt: check.rest_volt, charged: check.charged, at: check.checked_at.iso8601, tester_ampere: check.tester_ampere,
          verdict: check.verdict, summary: check.snapshot&.fetch('summary', nil), instead: check.snapshot&.fetch('instead', nil) }
      end
      private_class_method :place, :reading, :shelf_check
    end
  end
end
