# frozen_string_literal: true

module Server
  module Workers
    # Once a night: what nobody can need any more is thrown out, and what the mornings of the fleet say of its forecasts is worked out.
    # Plans its own next run; however many workers there are, it is planned once.
    class Nightly < Que::Job
      HOUR_UTC = 2
      TURN = 'wattomneum.nightly'

      class << self
        # @param now [Time]
        # @return [Time]
        def next_run(now)
          tonight = Time.utc(now.year, now.month, now.day, HOUR_UTC)
          tonight > now ? tonight : tonight + 86_400
        end

        # @param now [Time]
        def plan(now: Time.now.utc)
          DB.transaction do
            DB.get(Sequel.function(:pg_advisory_xact_lock, Sequel.function(:hashtext, TURN)))
            planned = DB[:que_jobs].where(job_class: name, finished_at: nil, expired_at: nil).where { run_at > now }
            enqueue(job_options: { run_at: next_run(now) }) if planned.empty?
          end
        end
      end

      def run
        Queries::Leftovers.new(now: Time.now.utc).throw_out
        Models::FleetPrior.work_out
        Models::UnitStanding.work_out(Models::Unit.standing(false).select_map(:id))
        self.class.plan
      end
    end
  end
end
