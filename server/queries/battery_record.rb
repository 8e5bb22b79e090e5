# frozen_string_literal: true

module Server
  module Queries
    # One battery through its life: where it stood, what was read of it, what became of its health.
    class BatteryRecord
      READINGS_MOST = 100
      attr_reader :battery

      # @param battery [Models::Battery]
      def initialize(battery)
        @battery = battery
      end

      # @return [Array<Models::Fitting>] the newest first, units loaded
      def fittings
        @fittings ||= Models::Fitting.where(battery_id: battery.id).eager(:unit).order(Sequel.desc(Sequel.function(:lower, :during))).all
      end

      # @return [Models::Fitting, nil] where it stands now
      def current = fittings.find { |fitting| fitting.during.end.nil? }

      # SQL: select * from reading where battery_id = ? and <standing> order by taken_at desc limit 100
      def readings
        @readings ||= Models::Reading.standing.where(battery_id: battery.id).order(Sequel.desc(:taken_at)).limit(READINGS_MOST)
                                     .eager(:battery, :from_place, :to_place).all
      end

      def judgements = @judgements ||= Models::Judgement.newest_of(readings.map(&:id))
      def checks = @checks ||= Models::ShelfCheck.where(battery_id: battery.id).order(Sequel.desc(:checked_at)).limit(READINGS_MOST).all
      def state = @state ||= Models::BatteryState[battery.id]
      def trend = BatteryTrend.new([battery.id]).points(battery.id)
      def limits = @limits ||= FleetRules.new.limits
    end
  end
end
