# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What a morning teaches of a unit's threshold: failed, it lies above the temperature of that dawn; turned slowly, just under it; started,
    # further down.
    #
    # Formula: truncated normal; V = v + (g s_S)^2 + 2.2^2 + .5^2, M = v k1 / sqrt V, v1 = v - v^2 / V (k1^2 - k2),
    # lambda = .98 Z / (.98 Z + .02); T0 += lambda M; v = lambda (v1 + M^2) + (1 - lambda) v - (lambda M)^2 + .1^2.
    class Morning
      # Failed means cranked too slowly or not at all, from cold; jumped is failed. A unit that was heated or charged overnight, that cranked
      # as ever and did not fire, or that has a fault found, tells nothing.
      TELLING = { 'failed' => 'failed', 'jumped' => 'failed', 'slow' => 'slow', 'started' => 'started' }.freeze

      # @param stored [Evening::Stored] before that morning
      # @param mean [Float] degC of its threshold as the evening had it
      # @param variance [Float] degC squared of threshold and morning together
      # @param low_celsius [Float] at dawn, as measured
      def initialize(stored, mean:, variance:, low_celsius:)
        @stored = stored
        @mean = mean
        @spread = Math.sqrt(variance)
        @low = low_celsius
      end

      # @param outcome [String] one of the morning's
      # @return [Evening::Stored] after it; the same where it tells nothing
      def after(outcome)
        told = TELLING[outcome] or return @stored
        share, one, two = between(told)
        moved(sure(share), @stored.variance * one / @spread, @stored.variance - (((@stored.variance / @spread)**2) * ((one**2) - two)))
      end

      # @param outcome [String] that tells something
      # @return [Boolean] whether it is likelier that it was so than that it was entered by mistake
      def likely?(outcome) = sure(between(TELLING.fetch(outcome)).first) > 0.5

      private

      def between(told) = Numerics::Normal.between(*limits(told).map { |celsius| (celsius - @mean) / @spread })

      def sure(share)
        mistaken = Table.figure('threshold', 'mistaken')
        (1 - mistaken) * share / (((1 - mistaken) * share) + mistaken)
      end

      def limits(told)
        case told
        when 'failed' then [@low, Float::INFINITY]
        when 'slow' then [@low - @stored.slow_celsius, @low]
        else [-Float::INFINITY, @low - @stored.slow_celsius]
        end
      end

      # A mistaken entry leaves everything as it was.
      def moved(sure, by, variance)
        mixed = (sure * (variance + (by**2))) + ((1 - sure) * @stored.variance) - ((sure * by)**2)
        @stored.dup.tap do |after|
          after.celsius = @stored.celsius + (sure * by)
          after.variance = mixed + (Table.figure('threshold', 'wander_celsius')**2)
        end
      end
    end
  end
end
