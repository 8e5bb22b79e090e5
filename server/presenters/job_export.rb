# frozen_string_literal: true

module Server
  module Presenters
    # A job as one JSON document to keep or hand over: everything the bench shows, without the lists it chooses from.
    module JobExport
      FORMAT = 'wattomneum-job-1'

      # @param record [Queries::JobRecord]
      def self.call(record)
        { format: FORMAT, core_version: Wattomneum::VERSION, **JobBench.call(record).except(:tests, :elements, :lock_version) }
      end
    end
  end
end
