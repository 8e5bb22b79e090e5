# frozen_string_literal: true

module Server
  module Presenters
    # Where a stored verdict was judged by another figure than holds now: which, until it is judged again.
    module JudgedBy
      # @param snapshot [Hash] of Models::Judgement
      # @param limits [Wattomneum::Limits::Table] in force
      # @return [String, nil]
      def self.call(snapshot, limits)
        words = snapshot.fetch('limits', []).filter_map { |used| changed(used, limits) }
        words.empty? ? nil : "judged by #{words.join(' and ')}"
      end

      def self.changed(used, limits)
        now = limits.row(used['row_id'])
        return if now.value == used['value']

        "#{figure(used['value'])} #{used['unit']}, where #{figure(now.value)} #{now.unit} holds now"
      rescue Wattomneum::UnknownKeyError
        nil # a limit of an earlier program
      end

      def self.figure(value) = Wattomneum::Quantities::Figure.trim(value, 4)
      private_class_method :changed, :figure
    end
  end
end
