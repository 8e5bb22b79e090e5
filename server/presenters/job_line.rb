# frozen_string_literal: true

module Server
  module Presenters
    # A job in a list.
    module JobLine
      def self.call(job)
        { id: job.id, number: job.number, state: job.state, work: job.symptom.work, complaint: job.complaint, opened_at: job.opened_at.iso8601,
          ended_at: job.ended_at&.iso8601, parked_missing: job.parked_missing, unit_id: job.unit_id,
          unit: "#{job.unit.number} #{job.unit.name}", yard: job.unit.yard.name, time_zone: job.unit.yard.time_zone }
      end
    end
  end
end
