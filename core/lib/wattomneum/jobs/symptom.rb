# frozen_string_literal: true

module Wattomneum
  module Jobs
    # What a job is about, as a statement on the unit's circuit: this, in that situation, does so.
    #   work: key of Faults::OrdersOfWork; part: id of the component that fails, nil for starting and charging, whose loops name it;
    #   situation: key of a Circuits::Situation; seen: how it fails, of its order's ways: dead, weak, comes_and_goes, stays_on where it should be
    #   off, overcharges, goes_flat
    Symptom = Struct.new(:work, :part, :situation, :seen, keyword_init: true) do
      # @param work [String]
      # @return [Symptom] as it is usually said
      def self.of(work) = new(work: work, situation: Faults::OrdersOfWork.fetch(work).situation)

      # @return [Boolean] whether it runs when it should not
      def stays_on? = seen == 'stays_on'

      # @return [Boolean] whether it charges too much
      def overcharges? = seen == 'overcharges'

      # @return [Boolean] whether it is the batteries that go flat while nothing runs
      def goes_flat? = seen == 'goes_flat'

      # @return [Boolean] whether it is about one component of the circuit, found along its paths
      def along_paths? = Faults::OrdersOfWork.fetch(work).along_paths?
    end
  end
end
