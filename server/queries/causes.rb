# frozen_string_literal: true

module Server
  module Queries
    # The common causes of a circuit: at once where that is quick or was worked out before; else from the background, with how far it is.
    class Causes
      Progress = Struct.new(:done, :total, keyword_init: true)

      # A whole unit has no version to keep them by: each time it is asked, as much more is worked out as one question may take.
      #
      # @param machine [Wattomneum::Circuits::Machine]
      # @return [Progress, nil] nil when the machine knows its causes
      def self.bit_by_bit(machine)
        return if machine.causes_known?

        done = 0
        Machines.within_budget { machine.dead_sets = machine.dead_sets { |count| done = count } }
        nil
      rescue Wattomneum::OverBudgetError
        Progress.new(done: done, total: machine.circuit.items.size)
      end

      # @param machine [Wattomneum::Circuits::Machine]
      # @param version [Models::SheetVersion]
      # @param overrides [Hash]
      def initialize(machine, version, overrides)
        @machine = machine
        @version = version
        @overrides = overrides
      end

      # @return [Progress, nil] nil when the machine knows its causes
      def progress
        return if @machine.causes_known?

        row = Models::CauseTable.with_pk(Models::CauseTable.key_of(@version, @overrides))
        row = work_out if row.nil? || row.left_alone?(Time.now.utc)
        return if row.nil?
        return Progress.new(done: row.done, total: row.total) unless row.finished?

        @machine.dead_sets = row.dead_sets.map(&:to_a)
        nil
      end

      private

      def work_out
        Machines.within_budget { @machine.causes }
        nil
      rescue Wattomneum::OverBudgetError
        total = Machines.within_budget { @machine.circuit.items.size }
        DB.transaction { Models::CauseTable.order(@version, @overrides, total: total) }
      end
    end
  end
end
