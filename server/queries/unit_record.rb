# frozen_string_literal: true

module Server
  module Queries
    # Everything a unit's sheet shows: last reading at each place, batteries now and before, jobs.
    class UnitRecord
      attr_reader :unit

      # @param unit [Models::Unit]
      def initialize(unit)
        @unit = Models::Unit.where(id: unit.id).eager(:yard, :unit_class).first
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

      # What was seen on it and not mended, what holds it first.
      def notices
        order = Sequel.case(Models::Notice::SEVERITIES.each_with_index.to_h, Models::Notice::SEVERITIES.size, :severity)
        @notices ||= Models::Notice.standing.where(unit_id: unit.id).order(order, :noticed_at).all
      end

      # The last standing reading of each test and position, from any job: looked up one by one, so that it takes no longer for a unit that
      # was read for years.
      #
      # SQL: select last.* from (values (test_key, position), ...) as place cross join lateral (select * from reading where unit_id = ?
      #      and test_key = place.test_key and position is not distinct from place.position and <standing>
      #      order by taken_at desc limit 1) as last
      #
      # @return [Array<Models::Reading>]
      def last_readings
        last = Models::Reading.standing.where(unit_id: unit.id, test_key: Sequel[:place][:test_key])
                              .where(Sequel.lit('reading.position is not distinct from place.position'))
                              .order(Sequel.desc(:taken_at)).limit(1)
        @last_readings ||= Models::Reading.from(DB.values(places).as(:place, %i[test_key position])).cross_join(last.lateral.as(:last))
                                          .select_all(:last).eager(:battery).all
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

      # @return [Hash{String => Models::Judgement}] newest judgement by reading id
      def judgements
        @judgements ||= Models::Judgement.newest_of((last_readings + last_between).map(&:id))
      end

      # @return [BatteryTrend] of the batteries that stand in it
      def trend = @trend ||= BatteryTrend.new(fittings.select { |fitting| fitting.during.end.nil? }.map(&:battery_id))

      private

      # Everything that some test may have been taken at, of today's tests and of earlier ones.
      def places
        Wattomneum::Readings::Catalogue::BY_KEY.each_value.flat_map do |test|
          (test.per_battery? ? Wattomneum::Units::ElectricalSystem::POSITIONS : [nil]).map { |position| [test.key, Sequel.cast(position, String)] }
        end
      end
    end
  end
end
