# frozen_string_literal: true

module Server
  module Queries
    # What needs somebody today: units down, jobs parked, temporary repairs, batteries that fail or wear thin.
    class Today
      # days: the date in each yard, by its id; limits: what the fleet judges by now
      Result = Struct.new(:jobs, :temporary, :batteries, :days, :limits, keyword_init: true)

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Result]
      def call
        Result.new(jobs: jobs, temporary: temporary, batteries: batteries, days: Models::Yard.days(@now), limits: Models::LimitOverride.in_force)
      end

      private

      def jobs
        Models::Job.unfinished.eager(unit: :yard).order(:opened_at).all
      end

      def temporary
        Models::Repair.still_temporary.eager(job: { unit: :yard }).order(:temporary_until).all
      end

      # The newest test of each battery that is fitted to a standing unit, by its newest judgement, where that was not sound. Tests that
      # were withdrawn, corrected or prove nothing are passed over.
      #
      # SQL: select ... from fitting join battery, unit, yard
      #      join lateral (select reading.*, verdict, snapshot from reading
      #                    join lateral (newest judgement) on true
      #                    where battery_id = fitting.battery_id and test_key = 'battery_test' and <standing> and verdict <> 'unproven'
      #                    order by taken_at desc limit 1) as test on true
      #      where upper_inf(during) and retired_at is null and verdict in ('act', 'watch') order by verdict, number
      def batteries
        DB[:fitting].join(:battery, id: :battery_id).join(:unit, id: Sequel[:fitting][:unit_id]).join(:yard, id: Sequel[:unit][:yard_id])
                    .join(newest_test.lateral.as(:test), true)
                    .where(Sequel.function(:upper_inf, Sequel[:fitting][:during])).where(Sequel[:unit][:retired_at] => nil)
                    .where(Sequel[:test][:verdict] => %w[act watch]).order(Sequel[:test][:verdict], Sequel[:unit][:number])
                    .select do |o|
          [o.unit[:id].as(:unit_id), o.unit[:number], o.unit[:name], o.yard[:name].as(:yard), o.yard[:time_zone], o.fitting[:position],
           o.battery[:tag], o.test[:verdict], o.test[:snapshot], o.test[:taken_at]]
        end.all
      end

      def newest_test
        judgement = DB[:judgement].where(reading_id: Sequel[:reading][:id]).order(Sequel.desc(:made_at), :occasion).limit(1)
        Models::Reading.standing.naked.join(judgement.lateral.as(:judged), true)
                       .where(Sequel[:reading][:battery_id] => Sequel[:fitting][:battery_id], Sequel[:reading][:test_key] => 'battery_test')
                       .exclude(Sequel[:judged][:verdict] => 'unproven').order(Sequel.desc(Sequel[:reading][:taken_at])).limit(1)
                       .select(Sequel[:judged][:verdict], Sequel[:judged][:snapshot], Sequel[:reading][:taken_at])
      end
    end
  end
end
