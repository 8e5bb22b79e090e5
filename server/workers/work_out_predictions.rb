# frozen_string_literal: true

module Server
  module Workers
    # Works out what each fault of a job's complaint would show, and says how far it is. May run twice: the answer is the same.
    class WorkOutPredictions < Que::Job
      SAY_EVERY_SECONDS = 0.5

      # @param key [String] of Queries::JobSuspects
      # @param job_id [String] by whose circuit it is worked out
      def run(key, job_id)
        row = Models::PredictionTable.with_pk(key)
        return if row.nil? || row.finished?

        suspects = Queries::JobSuspects.new(Queries::JobRecord.new(Models::Job.with_pk!(job_id)))
        # Its circuit or its complaint was changed meanwhile: another table is ordered for that.
        return row.delete unless suspects.key == key

        volts = suspects.work_out { |done| say(key, done) }
        Models::PredictionTable.where(key: key).update(done: row.total, volts: Sequel.blob(volts))
      end

      private

      def say(key, done)
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        return if @said_at && now - @said_at < SAY_EVERY_SECONDS

        @said_at = now
        Models::PredictionTable.where(key: key).update(done: done)
      end
    end
  end
end
