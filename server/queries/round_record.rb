# frozen_string_literal: true

module Server
  module Queries
    # What was read of a unit on one day without a job, and what core makes of it together: a round.
    class RoundRecord
      DAY_SECONDS = 86_400
      private_constant :DAY_SECONDS
      attr_reader :unit, :day

      class << self
        # Every round that holds any of these readings, each with its unit held.
        #
        # @param readings [Sequel::Dataset] of Models::Reading
        # @yieldparam record [RoundRecord]
        def each_of(readings)
          sittings(readings).each do |unit_id, at|
            DB.transaction { yield new(Models::Unit.for_update.with_pk!(unit_id), at: at) }
          end
        end

        # SQL: select unit_id, max(taken_at) from reading join unit, yard where job_id is null and <readings>
        #      group by unit_id, <day by the yard's clock> order by unit_id
        #
        # @return [Array<Array(String, Time)>]
        def sittings(readings)
          taken_at = Sequel[:reading][:taken_at]
          readings.where(Sequel[:reading][:job_id] => nil).join(:unit, id: Sequel[:reading][:unit_id]).join(:yard, id: Sequel[:unit][:yard_id])
                  .group(Sequel[:reading][:unit_id], Models::Yard.local_day(taken_at, Sequel[:yard][:time_zone]))
                  .order(Sequel[:reading][:unit_id]).naked.select_map([Sequel[:reading][:unit_id], Sequel.function(:max, taken_at).as(:at)])
        end
      end

      # @param unit [Models::Unit] its yard loaded
      # @param at [Time] within that day
      def initialize(unit, at:)
        @unit = unit
        @at = at
        @day = Models::Yard.day_of(at, unit.yard.time_zone)
      end

      # SQL: select * from <standing readings of the unit by the yard's day> where job_id is null and day = ? and taken_at > ? order by taken_at
      #
      # @return [Array<Models::Reading>] that stand, in the order they were taken
      def readings
        @readings ||= UnitTimeline.new(unit).in_days.where(job_id: nil, day: day).where(Sequel[:taken_at] > since)
                                  .order(:taken_at, :received_at).eager(:battery, :from_place, :to_place).all
      end

      # @return [Wattomneum::Faults::Assessment]
      def assessment
        @assessment ||= Wattomneum::Faults::Assessment.new(system: system, readings: readings.map(&:to_core), machine: circuits.drawn,
                                                           limits: rules.limits, schools: rules.schools)
      end

      def system = circuits.system
      def limits = rules.limits

      private

      # Bounds the search before the day by the yard's clock is looked at.
      def since = @at - (2 * DAY_SECONDS)

      def circuits = @circuits ||= UnitCircuits.new(unit.id)
      def rules = @rules ||= FleetRules.new
    end
  end
end
