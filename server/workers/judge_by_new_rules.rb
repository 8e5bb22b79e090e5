# frozen_string_literal: true

module Server
  module Workers
    # Judges the readings of every job and every round that a changed limit or school touches. May run twice: what did not change is not kept again.
    class JudgeByNewRules < Que::Job
      # Each lot is a statement of progress; a worker that dies begins again.
      LOT = 20

      # @param id [String] of Models::Rejudging
      def run(id)
        row = Models::Rejudging.with_pk(id)
        return if row.nil? || row.finished_at

        total = row.total_now
        done = 0
        row.jobs.select_map(:id).each do |job_id|
          JudgeAgain.job(job_id)
          told(id, done += 1, total)
        end
        Queries::RoundRecord.each_of(row.round_readings) do |record|
          Models::Judgement.keep_changed(record)
          told(id, done += 1, total)
        end
        Models::BatteryState.work_out(Models::ShelfCheck.exclude(tester_ampere: nil).distinct.select_map(:battery_id))
        # By the same limits is told what clean joints would win.
        WorkOutAnew.all(steps: ['cold starts'])
        Models::Rejudging.where(id: id).update(done: done, total: done, finished_at: Time.now.utc)
      end

      private

      def told(id, done, total)
        Models::Rejudging.where(id: id).update(done: [done, total].min, total: total) if (done % LOT).zero?
      end
    end
  end
end
