# frozen_string_literal: true

module Server
  module Models
    # What each fault would show at the points of one complaint's circuit, or how far that is worked out.
    class PredictionTable < Sequel::Model(:prediction_table)
      unrestrict_primary_key

      # Asked for by several at once, it is worked out once.
      #
      # @param key [String] of Queries::JobSuspects
      # @param job_id [String] by whose circuit it is worked out
      # @param total [Integer] hypotheses
      def self.order(key, job_id, total:)
        fresh = dataset.insert_conflict(target: :key).returning(:key).insert(key: key, total: total)
        Workers::WorkOutPredictions.enqueue(key, job_id) if fresh.to_a.any?
      end

      # SQL: select 1 from prediction_table where key = ?
      #
      # @param key [String]
      # @return [Boolean]
      def self.ordered?(key) = !where(key: key).empty?

      # SQL: select total, done from prediction_table where key = ? and volts is null
      #
      # @param key [String]
      # @return [Float, nil] 0 to 1; nil where it is worked out or was not asked for
      def self.share_done(key)
        where(key: key, volts: nil).get(%i[done total])&.then { |done, total| total.zero? ? 0.0 : done.fdiv(total) }
      end

      # @return [Boolean]
      def finished? = !volts.nil?
    end
  end
end
