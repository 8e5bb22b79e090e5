# frozen_string_literal: true

module Server
  module Workers
    # Works out what is kept beside the readings for quick lists: once after the first migration that knows of it, and whenever somebody asks.
    class WorkOutAnew < Que::Job
      # @return [void] orders it where nothing was worked out yet
      def self.if_missing
        enqueue if Models::Unit.any? && (Models::StartThreshold.empty? || (Models::BatteryState.empty? && Models::Battery.any?))
      end

      # @return [Hash{String => Integer}] how many of each were worked out
      def self.all
        { 'batteries' => Models::BatteryState.work_out_all, 'cold starts' => Models::StartThreshold.work_out_all }
      end

      def run = self.class.all
    end
  end
end
