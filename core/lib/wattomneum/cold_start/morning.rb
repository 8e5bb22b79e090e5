# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What a morning teaches of a unit's threshold: failed, it lies above the temperature of that dawn; turned slowly, just under it; started,
    # further down.
    class Morning
      # Failed means cranked too slowly or not at all, from cold; jumped is failed. A unit that was heated or charged overnight, that cranked
      # as ever and did not fire, or that has a fault found, tells nothing.
      TELLING = { 'failed' => 'failed', 'jumped' => 'failed', 'slow' => 'slow', 'started' => 'started' }.freeze
      FAILED = TELLING.select { |_, what| what == 'failed' }.keys.freeze

      # @param off_celsius [Float] by which the threshold lay over that of a usual night, by charge and by warmth
      # @param slow_celsius [Float] over the threshold up to which a start is a slow one
      # @param variance [Float] degC squared of the morning alone
      # @param low_celsius [Float] at dawn, as measured
      def initialize(off_celsius:, slow_celsius:, variance:, low_celsius:)
        @low = low_celsius - off_celsius
        @slow = slow_celsius
        @spread = Math.sqrt(variance)
      end

      # @param outcome [String] that tells something
      # @param threshold_celsius [Float] of a usual night
      # @return [Float] probability that it goes so where the threshold lies there
      def likelihood(outcome, threshold_celsius)
        case TELLING.fetch(outcome)
        when 'failed' then 1.0 - under(@low, threshold_celsius)
        when 'slow' then under(@low, threshold_celsius) - under(@low - @slow, threshold_celsius)
        else under(@low - @slow, threshold_celsius)
        end
      end

      private

      def under(air, threshold) = Numerics::Normal.below((air - threshold) / @spread)
    end
  end
end
