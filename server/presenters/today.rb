# frozen_string_literal: true

module Server
  module Presenters
    # Today: a line a unit, sorted by consequence, each with its action.
    class Today
      ORDER = %w[held down temporary parked watched battery].freeze

      def self.call(result) = new(result).call

      # @param result [Queries::Today::Result]
      def initialize(result)
        @result = result
      end

      def call
        lines = held_lines + job_lines + temporary_lines + watched_lines + battery_lines
        { lines: lines.sort_by { |line| [ORDER.index(line[:kind]), line.delete(:rank)] }, counts: @result.counts }
      end

      private

      def held_lines
        @result.held.map do |notice|
          line(kind: 'held', verdict: 'act', unit: notice.unit, rank: notice.noticed_at.to_i, since: notice.noticed_at.iso8601,
               words: ["Held: #{notice.what}", *(notice.place unless notice.place.empty?)].join(', '), action: 'Look at the unit',
               path: "/units/#{notice.unit_id}")
        end
      end

      def job_lines
        @result.jobs.map do |job|
          parked = job.state == 'parked'
          line(kind: parked ? 'parked' : 'down', verdict: parked ? 'unproven' : 'act', unit: job.unit, rank: job.opened_at.to_i,
               words: parked ? "Parked, missing: #{job.parked_missing}" : job.complaint, since: job.opened_at.iso8601,
               action: parked ? 'Take it up again' : 'Go on with the job', path: "/jobs/#{job.id}")
        end
      end

      def temporary_lines
        @result.temporary.map do |repair|
          overdue = repair.temporary_until < @result.days.fetch(repair.job.unit.yard_id)
          line(kind: 'temporary', verdict: overdue ? 'act' : 'watch', unit: repair.job.unit, rank: repair.temporary_until.jd,
               words: "Temporary: #{Wattomneum::Wording.inside(repair.part_label)}, holds until " \
                      "#{repair.temporary_until.strftime('%-d %b')}#{', overdue' if overdue}",
               since: repair.made_at.iso8601, action: 'Make it permanent', path: "/jobs/#{repair.job_id}")
        end
      end

      def watched_lines
        @result.watched.map do |notice|
          over = notice.until <= @result.days.fetch(notice.unit.yard_id)
          line(kind: 'watched', verdict: over ? 'act' : 'watch', unit: notice.unit, rank: notice.until.jd, since: notice.noticed_at.iso8601,
               words: watched_words(notice, over), action: over ? 'Decide' : 'Look at the unit', path: "/units/#{notice.unit_id}")
        end
      end

      def watched_words(notice, over)
        suspects = " Suspected: #{notice.suspects}." unless notice.suspects.empty?
        "Watched: #{notice.what}.#{suspects} #{over ? 'The watch ended' : 'Until'} #{notice.until.strftime('%-d %b')}"
      end

      def battery_lines
        @result.batteries.map.with_index do |row, index|
          { kind: 'battery', verdict: row[:verdict], unit_id: row[:unit_id], unit: "#{row[:number]} #{row[:name]}", yard: row[:yard],
            time_zone: row[:time_zone],
            words: battery_words(row), since: row[:taken_at].iso8601,
            action: 'Look at the unit', path: "/units/#{row[:unit_id]}", rank: index }
        end
      end

      def battery_words(row)
        judged_by = JudgedBy.call(row[:snapshot], @result.limits)
        ["Battery #{row[:position]} (#{row[:tag]}): #{row[:snapshot]['summary']}", *judged_by].join(', ')
      end

      def line(unit:, **rest)
        { unit_id: unit.id, unit: "#{unit.number} #{unit.name}", yard: unit.yard.name, time_zone: unit.yard.time_zone, **rest }
      end
    end
  end
end
