# frozen_string_literal: true

module Server
  module Queries
    # The ways to stop an engine on one sheet: what each fault does to them, how they were tried on the unit that has it, and what its lead said.
    #
    # SQL: the last stop_proof of each way of asking, by unit and sheet; stop_answer, by sheet; names of people
    class Stops
      # @param read [SheetToRead]
      def initialize(read)
        @read = read
      end

      # @return [Wattomneum::Limits::Table]
      def limits = @limits ||= FleetRules.new.limits

      # @return [Hash{String => Wattomneum::Circuits::Questions::StopTable}] by the UUID of what decides
      def tables = @read.machine.stop_tables

      # @param device [String] UUID
      # @return [Wattomneum::Circuits::Questions::StopTable]
      # @raise [Refusals::NotFound]
      def table(device) = tables[device] || raise(Refusals::NotFound, 'This sheet names no such way to stop')

      # @return [Hash{Array(String, String) => Models::StopProof}] by device and way of asking
      def trials = @trials ||= proofs.last_trials.all.to_h { |row| [[row.device_uuid, row.asked_key], row] }

      # @param device [String] UUID
      # @return [Models::StopAnswer, nil] to what will not stop it as the circuit is now
      def answer(device)
        answers.where(device_uuid: device, findings_digest: Models::StopAnswer.digest(table(device))).order(Sequel.desc(:at)).first
      end

      # @param device [String] UUID
      # @return [Array<String>] what will not stop it, in sentences
      def findings(device) = Wattomneum::Circuits::Questions::StopFindings.new(@read.machine, table(device)).words

      # @return [Hash{Integer => String}] names of those who tried and answered
      def names = @names ||= Models::Account.where(id: proofs.select(:person_id).union(answers.select(:person_id))).select_hash(:id, :name)

      private

      def proofs = @read.fitted ? Models::StopProof.of(@read.fitted) : Models::StopProof.where(false)
      def answers = Models::StopAnswer.of(@read.version.sheet_id)
    end
  end
end
