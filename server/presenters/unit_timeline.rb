# frozen_string_literal: true

module Server
  module Presenters
    # A page of what happened to a unit: visits with what they came to in a line, and what happened between them.
    class UnitTimeline
      # Words of a round without a job, by the loop of the tests it held most of.
      ROUNDS = Wattomneum::Readings::Rounds::ALL.to_h { |round| [round.key, round.label] }.freeze
      RANK = %w[act watch sound unproven].freeze
      MOST_SAID = 3
      private_constant :ROUNDS, :RANK, :MOST_SAID

      # @param timeline [Queries::UnitTimeline]
      # @param system [Wattomneum::Units::ElectricalSystem]
      def self.call(timeline, system:) = new(timeline).call.then { |page| InItsWords.call(page, system) }

      def initialize(timeline)
        @timeline = timeline
      end

      def call
        entries = @timeline.told.map { |visit, told| visit_entry(visit, told) } + @timeline.events.map { |event| event_entry(event) }
        { entries: entries.sort_by { |entry| entry[:at] }.reverse, before: @timeline.next_before&.iso8601(6) }
      end

      # @param told [Queries::UnitTimeline::Told]
      # @param limits [Wattomneum::Limits::Table]
      # @return [Hash] a reading of an opened visit
      def self.reading(told, limits)
        shown = Reading.call(told.row)
        judged = told.judgement
        { **shown.slice(:id, :label, :spoken, :taken_at, :position, :condition_line), verdict: judged&.verdict,
          summary: judged&.snapshot&.fetch('summary', nil), judged_by: judged && JudgedBy.call(judged.snapshot, limits) }
      end

      private

      def visit_entry(visit, told)
        job = @timeline.jobs[visit.job_id]
        { kind: 'visit', at: visit.last_at.iso8601, day: visit.day.iso8601, job_id: job&.id, count: visit.readings,
          title: job ? "Job #{job.number}" : round_words(told), said: job&.complaint,
          text: (healths(told) + telling(told)).first(MOST_SAID).join(', '), verdict: worst(told) }
      end

      def round_words(told)
        loops = told.map { |one| one.row.between_points? ? 'circuit' : one.row.to_core.test.loop }
        ROUNDS.fetch(loops.tally.max_by(&:last)&.first, 'Readings')
      end

      # "A 93 %": of each battery that was tested.
      def healths(told)
        told.select { |one| one.row.test_key == 'battery_test' && one.row.battery && one.row.value }.sort_by { |one| one.row.position.to_s }
            .map do |one|
          health = Wattomneum::Batteries::Health.percent(measured_ampere: one.row.value, rated_ampere: one.row.battery.rating_ampere)
          "#{one.row.position} #{health.round} %"
        end
      end

      # What failed, then what is to be watched, then the rest.
      def telling(told)
        told.reject { |one| one.row.test_key == 'battery_test' }.sort_by { |one| [rank(one), one.row.taken_at] }.map do |one|
          shown = Reading.call(one.row)
          [shown[:short], *one.row.position, shown[:spoken]].join(' ')
        end
      end

      def rank(one) = RANK.index(one.judgement&.verdict) || RANK.size
      def worst(told) = told.filter_map { |one| one.judgement&.verdict }.min_by { |verdict| RANK.index(verdict) }

      def event_entry(event)
        { kind: event.kind, at: event.at.iso8601, day: nil, job_id: nil, count: 0, said: nil, text: '', verdict: nil, **event_words(event) }
      end

      def event_words(event)
        row = event.row
        case event.kind
        when 'job' then { title: "Job #{row.number} opened", said: row.complaint, job_id: row.id }
        when 'repair' then { title: "#{row.part_label} #{row.action}", text: row.cause.tr('_', ' '), job_id: row.job_id }
        when 'noticed' then { title: 'Noticed', said: [row.what, *(row.place unless row.place.empty?)].join(', ') }
        when 'dealt_with' then { title: 'Dealt with', said: "#{row.what}: #{row.ended_because}" }
        when 'ground_round' then { title: 'Ground round', text: "#{row} #{row == 1 ? 'ground' : 'grounds'} read" }
        when 'fitted' then { title: "Battery #{row.battery.tag} fitted at #{row.position}" }
        else { title: "Battery #{row.battery.tag} taken off #{row.position}" }
        end
      end
    end
  end
end
