# frozen_string_literal: true

require 'digest'

module Server
  module Queries
    # What each fault of a job's complaint would show, worked out by the queue worker and kept by circuit, complaint and program. Until then
    # the order of work advises.
    class JobSuspects
      KEPT = LeastRecent.new(Bounds[:prediction_tables_kept])
      # Another program, or other kinds of faults, work out another table.
      PROGRAM = [Wattomneum::VERSION, Wattomneum::Faults::Suspects::Table.signature].freeze
      private_constant :KEPT, :PROGRAM

      # @param record [JobRecord]
      def initialize(record)
        @record = record
      end

      # SQL: select * from prediction_table where key = ?; only where this process does not have it yet
      #
      # @return [Wattomneum::Faults::Suspects::Table, nil] nil while it is not worked out, and where a job is not told by it
      def table
        return unless told?

        KEPT.fetch(key) { kept || return }
      end

      # Has it worked out, where nobody has asked for it yet. Of starts only the silent ones go by it.
      def order
        return if !told? || (starting? && !silent?) || Models::PredictionTable.ordered?(key)

        Models::PredictionTable.order(key, @record.id, total: empty.hypotheses.size)
      end

      # SQL: select total, done from prediction_table where key = ?
      #
      # @return [Float, nil] how far it is worked out, 0 to 1; nil where nobody works at it
      def progress
        Models::PredictionTable.share_done(key) if told?
      end

      # Works it out here: what the queue worker does.
      #
      # @yieldparam done [Integer] how many hypotheses are worked out
      # @return [String, nil] bytes; nil where the job is told otherwise by now
      def work_out(&) = told? ? empty.work_out(&).dump : nil

      # @return [String] what it depends on
      def key
        @key ||= Digest::SHA256.hexdigest(JSON.generate([PROGRAM, @record.circuit.identity, subject.part.id, subject.situation]))
      end

      private

      def kept
        row = Models::PredictionTable.with_pk(key)
        table = empty(row.volts.to_s) if row&.finished?
        table if table&.known?
      end

      def machine = @record.circuit.machine
      def subject = @subject ||= machine && Wattomneum::Faults::Suspects::Subject.of(machine, @record.symptom)
      def told? = !subject.nil?
      def starting? = @record.symptom.work == 'starting'
      def silent? = @record.standing.any? { |row| row.test_key == 'cranking_behaviour' && row.observation == 'silent' }
      def empty(bytes = nil) = Wattomneum::Faults::Suspects::Table.about(machine, subject, bytes: bytes)
    end
  end
end
