# frozen_string_literal: true

module Wattomneum
  module Numerics
    # Robust straight line: the median of all slopes between pairs of points.
    #
    # Source: Theil 1950, Sen 1968; interval of the slope by the rank method of Sen (normal approximation), as in Gilbert, Statistical Methods for
    # Environmental Pollution Monitoring, 1987, 16.5 (from memory): of N slopes in order the M1-th and the (M2 + 1)-th, M = (N -+ C) / 2; where M is
    # no whole number, the wider one.
    class TheilSen
      # z of a two-sided 90 % interval.
      INTERVAL_Z = 1.645

      # @return [Float] slope in y per x, and y at x = 0
      attr_reader :slope, :intercept
      # @return [Range<Float>] 90 % interval of the slope
      attr_reader :slope_interval

      # @param points [Array<Array(Float, Float)>] x and y, at least two different x
      # @raise [ArgumentError] if no two points differ in x
      def initialize(points)
        slopes = pair_slopes(points)
        raise ArgumentError, 'a slope needs two points apart in x' if slopes.empty?

        @slope = Median.of(slopes)
        @intercept = Median.of(points.map { |x, y| y - (@slope * x) })
        @slope_interval = interval(slopes, points.size)
        freeze
      end

      # @param y [Float]
      # @return [Float, nil] x at which the line reaches y; nil when the line is level
      def x_at(y, slope: @slope)
        slope.zero? ? nil : (y - @intercept) / slope
      end

      private

      def pair_slopes(points)
        points.combination(2).filter_map do |(x0, y0), (x1, y1)|
          (y1 - y0) / (x1 - x0).to_f unless x1 == x0
        end.sort
      end

      def interval(slopes, count)
        spread = INTERVAL_Z * Math.sqrt(count * (count - 1) * ((2 * count) + 5) / 18.0)
        low = (((slopes.size - spread) / 2).floor - 1).clamp(0, slopes.size - 1)
        high = ((slopes.size + spread) / 2).ceil.clamp(0, slopes.size - 1)
        slopes[low]..slopes[high]
      end
    end
  end
end
