# frozen_string_literal: true

module Wattomneum
  module Cranking
    # The cranking table: battery volts, current and turning together.
    class Table
      Row = Struct.new(:volts, :current, :turns, :reads_as, :suspects, keyword_init: true)
      ROWS = DataFile.load('cranking_table').map { |row| Row.new(**row.transform_keys(&:to_sym)).freeze }.freeze

      # @param circumstances [Evidence::Circumstances]
      # @param round [Integer] round of work whose readings are read together
      def initialize(circumstances, round:)
        @circumstances = circumstances
        @system = circumstances.system
        @round = round
      end

      # @return [Array<Row>] rows that fit all that is known; empty while the behaviour was not seen
      def matches
        turns = reading('cranking_behaviour')&.observation
        return [] if turns.nil?

        ROWS.select do |row|
          row.turns.include?(turns) && fits?(row.volts, volts_class) && fits?(row.current, current_class)
        end
      end

      # @return [String, nil] high, low or lost; nil when not measured
      def volts_class
        posts = reading('posts_cranking') if @system.lead_acid?
        return if posts.nil?
        return 'lost' if posts.value < limit('cranking.posts_lost')

        posts.value >= PostsJudge.least_volt(@system, posts, @circumstances.limits) ? 'high' : 'low'
      end

      # @return [String, nil] none, low, normal or high; nil when neither clamp nor sag says
      def current_class
        share = current_share or return
        return 'none' if share < limit('cranking.current_near_none')
        return 'low' if share < limit('cranking.current_low')

        share > limit('cranking.current_high') ? 'high' : 'normal'
      end

      private

      def reading(key)
        @circumstances.readings.reverse.find { |other| other.test_key == key && other.round == @round }
      end

      def limit(id) = @system.limit(id, limits: @circumstances.limits).value

      # The clamp, or the most that the sag allows where that is already little.
      def current_share
        clamp = reading('cranking_current')
        return 100.0 * clamp.value / @system.usual_cranking_current_ampere if clamp

        posts = reading('posts_cranking') or return
        estimate = Flow.new(posts, @circumstances).estimate
        return if estimate.nil? || estimate.source != 'sag'

        share = 100.0 * estimate.ampere / @system.usual_cranking_current_ampere
        share if share < limit('cranking.current_low')
      end

      def fits?(wanted, known) = wanted == 'any' || known.nil? || wanted == known
    end
  end
end
