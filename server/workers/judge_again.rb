# frozen_string_literal: true

module Server
  # Background work.
  module Workers
    # Judges a battery's readings again after what is known of it was corrected; the first judgements stay beside.
    # May run twice: a judgement that did not change is not kept again.
    class JudgeAgain < Que::Job
      # A job whose circuit is more than is worked out keeps the judgements that it has.
      #
      # @param id [String]
      # @return [void]
      def self.job(id)
        Queries::JobRecord.of(id) { |record| Models::Judgement.keep_changed(record) }
      rescue Wattomneum::OverBudgetError => e
        warn "job #{id} is not judged again: #{e.message}"
      end

      # @param battery_id [String]
      def run(battery_id)
        readings = Models::Reading.where(battery_id: battery_id)
        job_ids = readings.distinct.select_map(:job_id).compact
        job_ids.each { |id| self.class.job(id) }
        Queries::RoundRecord.each_of(readings) { |record| Models::Judgement.keep_changed(record) }
        Models::Battery[battery_id]&.stands_in&.foreseen
      end
    end
  end
end
