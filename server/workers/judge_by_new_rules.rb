# frozen_string_literal: true

module Server
  module Workers
    # Judges the readings of every job that a changed limit or school touches. May run twice: what did not change is not kept again.
    class JudgeByNewRules < Que::Job
      # Each lot is a statement of progress; a worker that dies begins again.
      LOT = 20

      # @param id [String] of Models::Rejudging
      def run(id)
        row = Models::Rejudging.with_pk(id)
        return if row.nil? || row.finished_at

        job_ids = row.jobs.select_map(:id)
        job_ids.each_slice(LOT).with_index do |lot, index|
          lot.each { |job_id| Queries::JobRecord.of(job_id) { |record| Models::Judgement.keep_changed(record) } }
          Models::Rejudging.where(id: id).update(done: [(index + 1) * LOT, job_ids.size].min, total: job_ids.size)
        end
        Models::Rejudging.where(id: id).update(finished_at: Time.now.utc)
      end
    end
  end
end
