# frozen_string_literal: true

module Server
  module Models
    # The fleet's stored verdicts on their way to a new rule: what changed, which units it touches, how far it is.
    class Rejudging < Sequel::Model(:rejudging)
      dataset_module do
        def going_on = where(finished_at: nil).order(:asked_at)
      end

      # @param why [String] for people
      # @param system_volt [Integer, nil] of the units it touches; nil for all
      def self.order(why:, system_volt: nil)
        row = create(why: why, system_volt: system_volt, total: new(system_volt: system_volt).total_now)
        Workers::JudgeByNewRules.enqueue(row.id)
      end

      # @return [Sequel::Dataset] jobs with readings that may come to something else, newest first
      def jobs = Job.where(unit_id: units.select(:id)).order(Sequel.desc(:opened_at))

      # @return [Sequel::Dataset] readings of rounds that may come to something else
      def round_readings = Reading.where(Sequel[:reading][:unit_id] => units.select(:id), Sequel[:reading][:job_id] => nil)

      # @return [Integer] jobs and rounds to be judged
      def total_now = jobs.count + Queries::RoundRecord.sittings(round_readings).size

      private

      def units = system_volt ? Unit.where(system_volt: system_volt) : Unit
    end
  end
end
