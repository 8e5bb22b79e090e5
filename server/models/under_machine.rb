# frozen_string_literal: true

module Server
  module Models
    # Somebody under the machine of a job. Each says it of themselves, so that one who comes out leaves the others known; who has answered may be
    # taken off by another.
    class UnderMachine < Sequel::Model(:under_machine)
      unrestrict_primary_key

      # @param job_id [String]
      # @param person_id [Integer]
      # @param somebody [Boolean] whether they are under it
      def self.say(job_id, person_id, somebody)
        about = { job_id: job_id, person_id: person_id }
        somebody ? dataset.insert_conflict.insert(about) : where(about).delete
      end
    end
  end
end
