# frozen_string_literal: true

module Server
  module Queries
    # What needs somebody today: units down, jobs parked, temporary repairs, batteries that fail or wear thin. The first of each kind, and how
    # many there are: what a large fleet owes is looked through in its own lists.
    class Today
      MOST = 40
      # The worst of them: the others are looked through in the list of units.
      MOST_BATTERIES = 8
      # days: the date in each yard, by its id; limits: what the fleet judges by now; counts: of all there are, by kind
      Result = Struct.new(:held, :jobs, :temporary, :watched, :batteries, :counts, :days, :limits, keyword_init: true)

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Result]
      def call
        Result.new(held: held.order(:noticed_at).limit(MOST).all, jobs: %w[open parked].flat_map { |state| jobs(state) },
                   temporary: temporary.limit(MOST).all, watched: watched.order(:until).limit(MOST).all, batteries: shown_batteries,
                   counts: counts, days: Models::Yard.days(@now), limits: Models::LimitOverride.in_force)
      end

      private

      # SQL: select * from job where state = ? order by opened_at limit 40; units and yards of those
      def jobs(state) = Models::Job.where(state: state).eager(unit: :yard).order(:opened_at).limit(MOST).all

      # SQL: select * from notice join unit where severity = 'holds' and ended_at is null and retired_at is null; units and yards of those
      def held = Models::Notice.holding.where(unit_id: Models::Unit.standing(false).select(:id)).eager(unit: :yard)

      # SQL: select * from notice join unit where severity = 'watch' and ended_at is null and retired_at is null order by until limit 40
      def watched = Models::Notice.watched.where(unit_id: Models::Unit.standing(false).select(:id)).eager(unit: :yard)
      def temporary = Models::Repair.still_temporary.eager(job: { unit: :yard }).order(:temporary_until)

      def counts
        states = Models::Job.unfinished.group_and_count(:state).as_hash(:state, :count)
        { held: held.count, watched: watched.count, down: states.fetch('open', 0),
          parked: states.fetch('parked', 0), temporary: temporary.count, battery: batteries.count }
      end

      # Batteries that stand in a unit in service, by their current state.
      #
      # SQL: select ... from battery_state join fitting, battery, unit, yard where verdict in ('act', 'watch') and upper_inf(during)
      #      and retired_at is null order by verdict, health_percent, number limit 8
      def shown_batteries
        batteries.join(:battery, id: Sequel[:battery_state][:battery_id]).join(:yard, id: Sequel[:unit][:yard_id])
                 .order(Sequel[:battery_state][:verdict], :health_percent, Sequel[:unit][:number]).limit(MOST_BATTERIES).select do |o|
          [o.unit[:id].as(:unit_id), o.unit[:number], o.unit[:name], o.yard[:name].as(:yard), o.yard[:time_zone], o.fitting[:position],
           o.battery[:tag], o.battery_state[:verdict], o.battery_state[:snapshot], o.battery_state[:tested_at].as(:taken_at)]
        end.all
      end

      def batteries
        Models::BatteryState.to_mind.naked.join(:fitting, battery_id: Sequel[:battery_state][:battery_id])
                            .join(:unit, id: Sequel[:fitting][:unit_id])
                            .where(Sequel.function(:upper_inf, Sequel[:fitting][:during])).where(Sequel[:unit][:retired_at] => nil)
      end
    end
  end
end
