# frozen_string_literal: true

module Server
  module Workers
    # Works out the thresholds of all standing units: once after the first migration that knows of them, and with every new shift of the fleet.
    class WorkOutThresholds < Que::Job
      # @return [void] orders it where no unit has one yet
      def self.if_missing
        enqueue if Models::StartThreshold.empty? && Models::Unit.any?
      end

      def run = Models::StartThreshold.work_out_all
    end
  end
end
