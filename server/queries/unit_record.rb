# frozen_string_literal: true

module Server
  module Queries
    # Everything a unit's sheet shows: last reading at each place, batteries now and before, jobs, timeline.
    class UnitRecord
      TIMELINE_MOST = 60
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = Models::Unit.where(id: unit.id).eager(:yard).first
      end

      # @return [Wattomneum::Limits::Table] what this fleet judges by
      def limits = @limits ||= FleetRules.new.limits

      def fittings
        @fittings ||= Models::Fitting.where(unit_id: unit.id).eager(:battery).order(:position, Sequel.desc(:during)).all
      end

      def jobs = @jobs ||= Models::Job.where(unit_id: unit.id).order(Sequel.desc(:opened_at)).limit(30).all

      def temporary_repairs
        @temporary_repairs ||= Models::Repair.still_temporary.where(job_id: jobs.map(&:id)).order(:temporary_until).all
      end

      # The last standing reading of each test and position, from any job.
      #
      # SQL: select distinct on (test_key, position) * from reading where unit_id = ? and test_key is not null and <standing>
      #      order by test_key, position, taken_at desc
      #
      # @return [Array<Models::Reading>]
      def last_readings
        @last_readings ||= Models::Reading.standing.where(unit_id: unit.id).exclude(test_key: nil).distinct(:test_key, :position)
                                          .order(:test_key, :position, Sequel.desc(:taken_at)).eager(:battery).all
      end

      # The last standing volts between each two points, from any job, as long as nothing was mended on that job since.
      #
      # SQL: select distinct on (from_place_id, to_place_id) * from reading where unit_id = ? and measured_by = 'volts' and <standing>
      #      and repairs_before >= (select count(*) from repair where job_id = reading.job_id) order by from_place_id, to_place_id, taken_at desc
      #
      # @return [Array<Models::Reading>]
      def last_between
        mended = Models::Repair.where(job_id: Sequel[:reading][:job_id]).select { count.function.* }
        @last_between ||= Models::Reading.standing.where(unit_id: unit.id, measured_by: 'volts').where { repairs_before >= mended }
                                         .distinct(:from_place_id, :to_place_id).order(:from_place_id, :to_place_id, Sequel.desc(:taken_at))
                                         .eager(:from_place, :to_place, :battery).all.sort_by(&:taken_at)
      end

      # @return [Array<Models::Reading>] the newest ones, newest first
      def recent_readings
        @recent_readings ||= Models::Reading.standing.where(unit_id: unit.id).order(Sequel.desc(:taken_at))
                                            .limit(TIMELINE_MOST).eager(:battery, :from_place, :to_place).all
      end

      def recent_repairs
        @recent_repairs ||= Models::Repair.where(job_id: jobs.map(&:id)).order(Sequel.desc(:made_at)).limit(20).all
      end

      # @return [Hash{String => Models::Judgement}] newest judgement by reading id
      def judgements
        @judgements ||= Models::Judgement.newest_of((last_readings + last_between + recent_readings).map(&:id))
      end

      # @return [Hash{String => Models::Judgement}] newest judgement of those tests, by reading id
      def battery_test_judgements
        @battery_test_judgements ||= Models::Judgement.newest_of(battery_tests.values.flatten.map(&:id))
      end

      # @return [Hash{String => Array<Models::Reading>}] tests of each fitted battery in time, by battery id
      def battery_tests
        @battery_tests ||= Models::Reading.standing.where(battery_id: fittings.map(&:battery_id),
                                                          test_key: 'battery_test')
                                          .order(:taken_at).eager(:battery).all.group_by(&:battery_id)
      end
    end
  end
end
