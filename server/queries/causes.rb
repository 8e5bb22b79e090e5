# frozen_string_literal: true

module Server
  module Queries
    # The common causes of a circuit: at once where that is quick or was worked out before; else from the background, with how far it is.
    class Causes
      Progress = Struct.new(:done, :total, keyword_init: true)

      # A whole unit has no version to keep them by: each time it is asked, as much more is worked out as one question may take.
      #
      # @param machine [Wattomneum::Circuits::Machine]
      # @param by [Models::Account] who asks
      # @return [Progress, nil] nil when the machine knows its causes
      def self.bit_by_bit(machine, by:)
        return if machine.causes.known?

        done = 0
        Machines.asked_by(by) { machine.causes.work_out { |count| done = count } }
        nil
      rescue Wattomneum::OverBudgetError
        Progress.new(done: done, total: machine.causes.total)
      end

      # @param machine [Wattomneum::Circuits::Machine]
      # @param version [Models::SheetVersion]
      # @param overrides [Hash]
      # @param by [Models::Account] who asks
      def initialize(machine, version, overrides, by:)
        @by = by
        @machine = machine
        @version = version
        @overrides = overrides
      end

      # @return [Progress, nil] nil when the machine knows its causes
      def progress
        return if @machine.causes.known?

        row = kept
        return if @machine.causes.known?

        row = work_out if row.nil? || row.left_alone?(Time.now.utc)
        row && Progress.new(done: row.done, total: row.total)
      end

      private

      # What an older program left under the same key is worked out anew.
      def kept
        row = Models::CauseTable.with_pk(Models::CauseTable.key_of(@version, @overrides))
        return row unless row&.finished?
        return row if @machine.recall_causes(row.strengths.to_s).known?

        row.delete
        nil
      end

      def work_out
        Machines.asked_by(@by) { @machine.causes.work_out }
        nil
      rescue Wattomneum::OverBudgetError
        total = Machines.asked_by(@by) { @machine.causes.total }
        DB.transaction { Models::CauseTable.order(@version, @overrides, total: total) }
      end
    end
  end
end
