# frozen_string_literal: true

module Server
  # Background work.
  module Workers
    # Judges a battery's readings again after what is known of it was corrected; the first judgements stay beside.
    # May run twice: a judgement that did not change is not kept again.
    class JudgeAgain < Que::Job
      # @param battery_id [String]
      def run(battery_id)
        jobs = Models::Job.where(id: Models::Reading.where(battery_id: battery_id).select(:job_id)).all
        jobs.each { |job| judge(job, battery_id) }
      end

      private

      def judge(job, battery_id)
        record = Queries::JobRecord.new(job)
        record.standing.select { |row| row.battery_id == battery_id }.each do |row|
          fresh = record.assessment.judgements.fetch(row.id)
          Models::Judgement.keep(fresh, occasion: 'judged_again') unless same?(row.id, fresh)
        end
      end

      def same?(reading_id, fresh)
        newest = Models::Judgement.where(reading_id: reading_id).order(Sequel.desc(:made_at)).first
        newest && newest.verdict == fresh.verdict && newest.snapshot['summary'] == fresh.summary
      end
    end
  end
end
