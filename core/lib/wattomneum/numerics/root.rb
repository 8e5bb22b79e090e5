# frozen_string_literal: true

module Wattomneum
  module Numerics
    # Where a rising function passes through nothing.
    module Root
      MOST_STEPS = 60
      private_constant :MOST_STEPS

      # Source: regula falsi, Illinois form (Dowell and Jarratt 1971, from memory).
      #
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
