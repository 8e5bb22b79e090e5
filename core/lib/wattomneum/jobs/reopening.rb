# frozen_string_literal: true

module Wattomneum
  module Jobs
    # A job that was taken up again: what was read long before says how it was then, not how it is.
    module Reopening
      # A unit that worked for so long in between is another one (ours).
      STALE_SECONDS = 7 * 86_400
      private_constant :STALE_SECONDS

      # @param taken_at [Time] of a reading
      # @param reopened_at [Time, nil] the last time the job was reopened; nil where it never was
      # @return [Boolean]
      def self.stale?(taken_at, reopened_at) = !reopened_at.nil? && taken_at < reopened_at - STALE_SECONDS
    end
  end
end
