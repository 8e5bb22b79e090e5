# frozen_string_literal: true

module Wattomneum
  # An engine that was asked to stop.
  module Stopping
    # What one trial is worth: a stop is proved by being seen, and in time.
    class Trial
      # @return [String] sound, watch (it stopped late) or act (it ran on)
      attr_reader :verdict
      # @return [String, nil] the limit it was held against, where it stopped late
      attr_reader :words

      # @param outcome [String] stopped or ran_on
      # @param seconds [Float, nil] until it stood; nil where nobody counted
      # @param limits [Limits::Table]
      def initialize(outcome, seconds, limits: Limits::Table.shipped)
        most = limits.fetch('stop.seconds_most')
        late = outcome == 'stopped' && !seconds.nil? && seconds > most.value
        @verdict = if outcome == 'ran_on' then 'act'
                   else late ? 'watch' : 'sound'
                   end
        @words = "late: #{Quantities::Figure.trim(most.value, 1)} s at most; a remote fuel valve may take longer" if late
        freeze
      end
    end
  end
end
