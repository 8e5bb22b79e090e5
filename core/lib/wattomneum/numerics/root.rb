# frozen_string_literal: true

module Wattomneum
  module Numerics
    # Where a rising function passes through nothing.
    module Root
      MOST_STEPS = 60
      # A secant that has not arrived by then is on its way elsewhere.
      SECANT_STEPS = 8
      private_constant :MOST_STEPS, :SECANT_STEPS

      # Source: regula falsi, Illinois form (Dowell and Jarratt 1971, from memory).
      #
      # Where it is known nearly, in a third of the steps; where it is not, or lies outside, as by #between.
      #
      # Source: secant method.
      #
      # @param low [Float]
      # @param high [Float]
      # @param from [Float] within them
      # @param slope [Float, nil] there, where it is known
      # @param last_step [Float] after a step so small it stands: each is about the product of the two before it
      # @yieldparam x [Float]
      # @yieldreturn [Float] rising with x
      # @return [Float] low or high where it lies outside
      # @example Root.about(0.0, 9.0, from: 1.5) { |x| (x * x) - 2 }   # => 1.4142
      def self.about(low, high, from:, slope: nil, last_step: 1e-3, &rising)
        secant(low, high, from, slope, last_step, &rising) || between(low, high, &rising)
      end

      # Nothing where it leaves the range, stands still or goes round.
      def self.secant(low, high, from, slope, last_step)
        here = from
        at_here = yield(here)
        there = (slope ? here - (at_here / slope) : here + 0.5).clamp(low, high)
        return here if (there - here).abs < last_step

        at_there = yield(there)
        SECANT_STEPS.times do
          slope = (at_there - at_here) / (there - here)
          return unless slope.positive?

          step = at_there / slope
          here = there
          at_here = at_there
          there -= step
          return unless there.between?(low, high)
          return there if step.abs < last_step

          at_there = yield(there)
        end
        nil
      end
      private_class_method :secant

      # @param low [Float]
      # @param high [Float]
      # @param near [Float] as exact as this
      # @yieldparam x [Float]
      # @yieldreturn [Float] rising with x
      # @return [Float] low or high where it lies outside
      # @example Root.between(0.0, 9.0) { |x| (x * x) - 2 }   # => 1.4142
      def self.between(low, high, near: 1e-5)
        below = yield(low)
        above = yield(high)
        return low if below >= 0
        return high if above <= 0

        last = nil
        MOST_STEPS.times do
          middle = ((low * above) - (high * below)) / (above - below)
          at = yield(middle)
          return middle if at.zero? || high - low < near || (last && (middle - last).abs < near)

          if at.negative?
            above /= 2 if last && last < middle
            low = middle
            below = at
          else
            below /= 2 if last && last > middle
            high = middle
            above = at
          end
          last = middle
        end
        last
      end
    end
  end
end
