# frozen_string_literal: true

module Server
  module Workers
    # Works out what is kept beside the readings for quick lists: once after the first migration that knows of it, and whenever somebody asks.
    class WorkOutAnew < Que::Job
      # @return [void] orders it where nothing was worked out yet
      def self.if_missing
        unkept = Models::Unit.standing(false).exclude(id: Models::UnitStanding.select(:unit_id))
        enqueue if unkept.any? || (Models::BatteryState.empty? && Models::Battery.any?)
      end

      # In this order: one goes by what was worked out before it.
      STEPS = { 'batteries' => ->(_) { Models::BatteryState.work_out_all },
                'crank tests' => ->(processes) { each_unit(processes) { |ids| Models::StartState.work_out_each(ids) } },
                'standings' => ->(processes) { each_unit(processes) { |ids| Models::UnitStanding.work_out(ids) } },
                'cold starts' => ->(processes) { each_unit(processes) { |ids| Models::StartThreshold.work_out_each(ids) } } }.freeze

      # @param steps [Array<String>] of STEPS
      # @param processes [Integer] more than one only where this one runs nothing else
      # @yieldparam what [String]
      # @yieldparam count [Integer] how many were worked out
      # @yieldparam took_s [Float] seconds
      def self.all(steps: STEPS.keys, processes: 1)
        steps.each do |what|
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          count = STEPS.fetch(what).call(processes)
          yield what, count, Process.clock_gettime(Process::CLOCK_MONOTONIC) - start if block_given?
        end
      end

      def self.each_unit(processes, &work)
        SideBySide.count(Models::Unit.standing(false).order(:id).select_map(:id), processes: processes, &work)
      end
      private_class_method :each_unit

      def run = self.class.all
    end
  end
end
