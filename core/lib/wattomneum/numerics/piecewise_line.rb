# frozen_string_literal: true

module Wattomneum
  module Numerics
    # A line through given points: linear between them; what happens outside is the caller's choice.
    class PiecewiseLine
      # @param points [Array<Array(Float, Float)>] x and y, in any order of x
      # @raise [ArgumentError] with fewer than two points
      def initialize(points)
        raise ArgumentError, 'a line needs two points' if points.size < 2

        @points = points.map { |x, y| [x.to_f, y.to_f].freeze }.sort_by(&:first).freeze
        freeze
      end

      # @param x [Float]
      # @return [Float] y, held at the end values outside the points
      def clamped(x)
        at(x.clamp(@points.first.first, @points.last.first))
      end

      # @param x [Float]
      # @return [Float] y
      # @raise [OutOfTableRangeError] outside the points
      def within(x)
        low = @points.first.first
        high = @points.last.first
        raise OutOfTableRangeError, "#{x} lies outside the table, #{low} to #{high}" unless x.between?(low, high)

        at(x)
      end

      private

      def at(x)
        upper = @points.index { |point_x, _| point_x >= x }
        return @points[0].last if upper.zero?

        (x0, y0) = @points[upper - 1]
        (x1, y1) = @points[upper]
        y0 + ((y1 - y0) * (x - x0) / (x1 - x0))
      end
    end
  end
end
