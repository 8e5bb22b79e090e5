# frozen_string_literal: true

module Server
  module Queries
    # What happened to a unit, the newest first, a page of visits at a time: readings of one job on one day are one visit, whatever it held;
    # between them the jobs that were opened, what was mended and noticed, rounds along the grounds, and the batteries that came and went.
    class UnitTimeline
      PAGE = 15
      # What one visit is: its job, nil for a round without one; the day by the yard's clock; how many readings it had, and when the last was taken.
      Visit = Struct.new(:job_id, :day, :readings, :last_at, keyword_init: true)
      # A reading of a visit with its newest judgement.
      Told = Struct.new(:row, :judgement, keyword_init: true)
      # kind: job, repair, fitted, taken_off, noticed, dealt_with, ground_round (row: how many grounds)
      Event = Struct.new(:kind, :at, :row, keyword_init: true)

      # @param unit [Models::Unit] its yard loaded
      # @param before [Time, nil] what the page before ended with
      def initialize(unit, before: nil)
        @unit = unit
        @before = before
      end

      # @return [Array<Visit>] of this page
      def visits = page.first(PAGE)

      # @return [Time, nil] what the next page goes on from, nil after the last
      def next_before = (visits.last.last_at if page.size > PAGE)

      # Each thing that was read in a visit once, as it was read last.
      #
      # SQL: select distinct on (job_id, day, test_key, position, from_place_id, to_place_id) reading.*, day from reading where unit_id = ?
      #      and <standing> and (job_id, day) in the page order by ..., taken_at desc; newest judgements of those
      #
      # @return [Hash{Visit => Array<Told>}]
      def told
        rows = visits.empty? ? [] : once_each(of_visits).all
        judgements = Models::Judgement.newest_of(rows.map(&:id))
        by_visit = rows.group_by { |row| [row.job_id, row[:day]] }
        visits.to_h do |visit|
          [visit, by_visit.fetch([visit.job_id, visit.day], []).map { |row| Told.new(row: row, judgement: judgements[row.id]) }]
        end
      end

      # @return [Hash{String => Models::Job}] of the visits, by id
      def jobs = @jobs ||= Models::Job.where(id: visits.filter_map(&:job_id)).as_hash(:id)

      # @return [Array<Event>] of the time that this page covers
      def events
        [*opened, *mended, *fitted, *noticed, *ground_rounds].select { |event| event.at <= newest && event.at > oldest }
      end

      # Readings of one visit, in the order they were taken.
      #
      # @param job_id [String, nil]
      # @param day [Date]
      # @return [Array<Told>]
      def self.readings(unit, job_id:, day:)
        rows = new(unit).in_days.where(job_id: job_id).where(Sequel[:day] => day).order(:taken_at).limit(MOST)
                        .eager(:battery, :from_place, :to_place).all
        judgements = Models::Judgement.newest_of(rows.map(&:id))
        rows.map { |row| Told.new(row: row, judgement: judgements[row.id]) }
      end

      MOST = 500
      private_constant :MOST

      # SQL: select * from (select reading.*, (taken_at at time zone 'UTC' at time zone ?)::date as day from reading where unit_id = ?
      #      and <standing>) as reading
      def in_days
        day = local_day(Sequel[:reading][:taken_at]).as(:day)
        Models::Reading.from(Models::Reading.standing.where(unit_id: @unit.id).select_all(:reading).select_append(day).as(:reading))
      end

      private

      # SQL: select job_id, day, count(*), max(taken_at) from <in days> group by job_id, day
      #      having max(taken_at) < ? order by max(taken_at) desc limit 16
      def page
        @page ||= begin
          last = Sequel.function(:max, :taken_at)
          visits = in_days.naked.group(:job_id, :day).order(Sequel.desc(last)).limit(PAGE + 1)
                          .select(:job_id, :day, Sequel.function(:count).*.as(:readings), last.as(:last_at))
          (@before ? visits.having(last < @before) : visits).all.map { |row| Visit.new(**row) }
        end
      end

      def of_visits
        named, round = visits.partition(&:job_id)
        rounds = Sequel.&({ job_id: nil }, { day: round.map(&:day) })
        in_days.where(Sequel.|({ %i[job_id day] => named.map { |visit| [visit.job_id, visit.day] } }, rounds))
      end

      def once_each(readings)
        thing = %i[job_id day test_key position from_place_id to_place_id]
        readings.distinct(*thing).order(*thing, Sequel.desc(:taken_at)).eager(:battery, :from_place, :to_place)
      end

      def local_day(column) = Models::Yard.local_day(column, @unit.yard.time_zone)

      def newest = @before || Time.now.utc
      def oldest = next_before || Time.at(0)
      def in_time(dataset, column) = dataset.where(column => oldest..newest).limit(PAGE * 10)

      def opened
        in_time(Models::Job.where(unit_id: @unit.id), :opened_at).all.map { |job| Event.new(kind: 'job', at: job.opened_at, row: job) }
      end

      def mended
        repairs = in_time(Models::Repair.where(job_id: Models::Job.where(unit_id: @unit.id).select(:id)), :made_at).all
        repairs.map { |repair| Event.new(kind: 'repair', at: repair.made_at, row: repair) }
      end

      def fitted
        Models::Fitting.where(unit_id: @unit.id).eager(:battery).all.flat_map do |fitting|
          bounds = { 'fitted' => fitting.during.begin, 'taken_off' => fitting.during.end }.compact
          bounds.map { |kind, at| Event.new(kind: kind, at: at, row: fitting) }
        end
      end

      def noticed
        Models::Notice.where(unit_id: @unit.id).all.flat_map do |notice|
          { 'noticed' => notice.noticed_at, 'dealt_with' => notice.ended_at }.compact.map { |kind, at| Event.new(kind: kind, at: at, row: notice) }
        end
      end

      # SQL: select <local day>, count(*), max(served_at) from ground_service where unit_id = ? group by 1
      def ground_rounds
        Models::GroundService.naked.where(unit_id: @unit.id).group(local_day(:served_at))
                             .select_map([Sequel.function(:count).*.as(:grounds), Sequel.function(:max, :served_at).as(:at)])
                             .map { |count, at| Event.new(kind: 'ground_round', at: at, row: count) }
      end
    end
  end
end
