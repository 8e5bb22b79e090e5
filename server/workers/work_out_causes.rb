# frozen_string_literal: true

module Server
  module Workers
    # Works out what falls dead with each item of a circuit, and says how far it is. May run twice: the answer is the same.
    class WorkOutCauses < Que::Job
      SAY_EVERY_SECONDS = 0.5

      # @param key [String] of Models::CauseTable
      def run(key)
        row = Models::CauseTable.with_pk(key)
        return if row.nil? || row.finished?

        version = Models::SheetVersion.with_pk!(row.version_id)
        machine = Queries::Machines.of(version, row.overrides.to_h)
        said_at = clock
        sets = machine.dead_sets do |done|
          next if clock - said_at < SAY_EVERY_SECONDS

          said_at = clock
          Models::CauseTable.where(key: key).update(done: done)
        end
        Models::CauseTable.where(key: key).update(done: sets.size, total: sets.size, dead_sets: Sequel.pg_jsonb(sets))
      end

      private

      def clock = Queries::Machines::CLOCK.call
    end
  end
end
