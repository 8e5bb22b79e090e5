# frozen_string_literal: true

module Server
  module Workers
    # Works out what every fault of a circuit does to all that is watched, and says how far it is. May run twice: the answer is the same.
    class WorkOutCauses < Que::Job
      SAY_EVERY_SECONDS = 0.5

      # @param key [String] of Models::CauseTable
      def run(key)
        row = Models::CauseTable.with_pk(key)
        return if row.nil? || row.finished?

        version = Models::SheetVersion.with_pk!(row.version_id)
        causes = Queries::Machines.of(version, row.overrides.to_h).causes
        said_at = clock
        causes.work_out do |done|
          next if clock - said_at < SAY_EVERY_SECONDS

          said_at = clock
          Models::CauseTable.where(key: key).update(done: done)
        end
        Models::CauseTable.where(key: key).update(done: causes.total, total: causes.total, strengths: Sequel.blob(causes.dump))
      end

      private

      def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
