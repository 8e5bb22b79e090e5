# frozen_string_literal: true

module Server
  module Queries
    # What one unit will do on a cold morning, what would help, and how its last mornings were.
    class UnitStart
      CORE = Wattomneum
      LAST = 14
      attr_reader :unit

      # @param unit [Models::Unit]
      # @param now [Time]
      def initialize(unit, now:)
        @unit = unit
        @now = now
      end

      # @return [Models::StartThreshold, nil] nil where nothing can be forecast
      def row = @row ||= Models::StartThreshold[unit.id]

      # @return [Models::Night, nil] the coming one
      def night = @night ||= Models::Night.first(yard_id: unit.yard_id, dawn: Models::Night.dawns(@now).fetch(unit.yard_id))

      # @return [Date] by the clock of its yard
      def today = @today ||= Models::Yard.day_of(@now, unit.yard.time_zone)

      # @return [Integer] until the coming dawn
      def nights_parked = Models::Unit.nights_parked(unit.parked_since, Models::Night.dawns(@now).fetch(unit.yard_id))

      # @return [CORE::ColdStart::Evening] of the coming night; of a usual one where nobody said how cold it gets
      def evening
        @evening ||= row.evening(low_celsius: night&.low_celsius || 0.0, day_before_celsius: night&.day_before_celsius,
                                 nights_parked: nights_parked)
      end

      # @return [Array<CORE::ColdStart::Remedies::Remedy>]
      def remedies
        inputs = StartInputs.of(unit)
        found = inputs.call or return []
        inputs.remedies(found, charge: evening.charge, may_freeze: may_freeze?, limits: FleetRules.new.limits)
      end

      # @return [Boolean] whether its batteries may be ice in the coming night
      def may_freeze? = !night.nil? && evening.may_freeze?(night.low_celsius)

      # @return [Array<Models::StartChange>] what was changed and nothing else records, the newest first
      def changes = @changes ||= Models::StartChange.where(unit_id: unit.id).order(Sequel.desc(:on), Sequel.desc(:said_at)).limit(LAST).all

      # @return [Array<Models::Morning>] the newest first
      def mornings = @mornings ||= Models::Morning.where(unit_id: unit.id).order(Sequel.desc(:dawn)).limit(LAST).all
    end
  end
end
