# frozen_string_literal: true

module Wattomneum
  module Numerics
    # A line through given points: linear between them; what happens outside is the caller's choice.
    class PiecewiseLine
      # @param points [Array<Array(Float, Float)>] x and y, in any order of x
      # @raise [ArgumentError] with fewer than two points, or two at one x
      def initialize(points)
        raise ArgumentError, 'a line needs two points' if points.size < 2

        raise ArgumentError, 'a line has one point at each x' if points.uniq(&:first).size < points.size

        @xs, @ys = points.map { |x, y| [x.to_f, y.to_f] }.sort_by(&:first).transpose.each(&:freeze)
        freeze
      end

      # @param x [Float]
      # @return [Float] y, held at the end values outside the points
      def clamped(x)
        at(x.clamp(@xs.first, @xs.last))
      end

      # @param x [Float]
      # @return [Float] y
      # @raise [OutOfTableRangeError] outside the points
      def within(x)
        raise OutOfTableRangeError, "#{x} lies outside the table, #{@xs.first} to #{@xs.last}" unless x.between?(@xs.first, @xs.last)

        at(x)
      end

      # @param x [Float]
      # @return [Float] y, carried on along its first and last piece outside the points
      def carried_on(x) = at(x)

      private

      # Counted up rather than searched: lines are short, and a fleet asks hundreds of thousands of times.
      def at(x)
        upper = 1
        upper += 1 while upper < @xs.size - 1 && @xs[upper] < x
        lower = upper - 1
        @ys[lower] + ((@ys[upper] - @ys[lower]) * (x - @xs[lower]) / (@xs[upper] - @xs[lower]))
      end
    end
  end
end
