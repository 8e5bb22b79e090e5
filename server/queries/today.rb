# frozen_string_literal: true

module Server
  module Queries
    # What needs somebody today: units down, jobs parked, temporary repairs, batteries that fail or wear thin.
    class Today
      # days: the date in each yard, by its id
      Result = Struct.new(:jobs, :temporary, :batteries, :days, keyword_init: true)

      # @param now [Time]
      def initialize(now:)
        @now = now
      end

      # @return [Result]
      def call
        Result.new(jobs: jobs, temporary: temporary, batteries: batteries, days: Models::Yard.days(@now))
      end

      private

      def jobs
        Models::Job.unfinished.eager(unit: :yard).order(:opened_at).all
      end

      def temporary
        Models::Repair.still_temporary.eager(job: { unit: :yard }).order(:temporary_until).all
      end

      # The newest test of each battery that is fitted to a standing unit, where it was not sound.
      #
      # SQL: select distinct on (battery_id) reading.*, judgement.verdict ... join judgement ... join fitting (current)
      #      order by battery_id, taken_at desc; outer: where verdict in (watch, act)
      def batteries
        newest = DB[:reading]
                 .join(:judgement, reading_id: Sequel[:reading][:id])
                 .join(:fitting, { battery_id: Sequel[:reading][:battery_id] }, table_alias: :fitting)
                 .join(:battery, id: Sequel[:reading][:battery_id])
                 .join(:unit, id: Sequel[:fitting][:unit_id])
                 .join(:yard, id: Sequel[:unit][:yard_id])
                 .where(Sequel.function(:upper_inf, Sequel[:fitting][:during]))
                 .where(Sequel[:unit][:retired_at] => nil,
                        Sequel[:reading][:test_key] => 'battery_test')
                 .exclude(Sequel[:judgement][:verdict] => 'unproven')
                 .distinct(Sequel[:reading][:battery_id])
                 .order(Sequel[:reading][:battery_id], Sequel.desc(Sequel[:reading][:taken_at]), Sequel.desc(Sequel[:judgement][:made_at]))
                 .select do |o|
          [o.unit[:id].as(:unit_id), o.unit[:number], o.unit[:name], o.yard[:name].as(:yard), o.yard[:time_zone], o.fitting[:position],
           o.battery[:tag], o.judgement[:verdict], o.judgement[:snapshot], o.reading[:taken_at]]
        end
        DB.from(newest.as(:newest)).where(verdict: %w[act watch]).order(:verdict, :number).all
      end
    end
  end
end
