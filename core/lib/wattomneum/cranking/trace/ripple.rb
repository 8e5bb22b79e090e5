# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # The humps of compression in what flows (or in the volts, turned over): how often they come tells the speed, how high each is tells
      # whether one cylinder pumps less than the others.
      class Ripple
        # Between these any engine is cranked (ours).
        RPM = (35.0..450.0)
        # Slices of a hump below which its height is a guess (ours).
        SLICES_OF_A_HUMP = 8
        # How alike the humps must be, as a correlation, before anything is said of them (ours).
        ALIKE = 0.3
        # Of the largest correlation: the first that reaches it is one hump, not a turn of the engine (ours).
        FIRST_SHARE = 0.5
        # Of what flows (or of the sag) that a hump must be: an instrument's own noise, and an engine that stands, make less (ours).
        LEAST_HUMP_SHARE = 0.03
        # Whole turns of all cylinders before one is told from the others.
        ROUNDS = 2

        # @param values [Array<Float>] evenly in time; more of it as a cylinder is compressed
        # @param width_second [Float] between two of them
        # @param load [Float] what the humps stand on, in the same unit: current while it cranks, or sag
        # @param cylinders [Integer] of an even-firing four-stroke
        def initialize(values, width_second:, load:, cylinders:)
          together = [(120.0 / (RPM.end * cylinders * width_second) / SLICES_OF_A_HUMP / 2).floor, 1].max
          @width = width_second * together
          @cylinders = cylinders
          @values = level(values.each_slice(together).map { |few| few.sum / few.size })
          @period = find_period
          @period = nil if @period && small?(load)
          freeze
        end

        # Formula: rpm = 120 f / cylinders; a four-stroke compresses each cylinder every other turn.
        #
        # @return [Float, nil] nil where no even humps are seen
        # @example 15 humps a second, 6 cylinders   # => 300
        def rpm = hertz && (120.0 * hertz / @cylinders)

        # @return [Float, nil] humps a second
        def hertz = @period && (1.0 / (@period * @width))

        # @return [Array<Float>, nil] height of each cylinder's hump in percent of their mean, in the order they come from the first hump; nil
        #   where too few turns or too few slices were recorded
        def shares
          return if @period.nil? || @period < SLICES_OF_A_HUMP || @cylinders < 2

          heights = hump_heights
          return if heights.size < ROUNDS * @cylinders

          each = (0...@cylinders).map { |cylinder| Numerics::Median.of(heights.each_slice(@cylinders).filter_map { |round| round[cylinder] }) }
          mean = each.sum / each.size
          each.map { |height| 100.0 * height / mean } if mean.positive?
        end

        private

        def small?(load)
          heights = hump_heights
          heights.empty? || Numerics::Median.of(heights) < LEAST_HUMP_SHARE * load
        end

        # Speed and volts still drift while it cranks: a line through them is taken off.
        def level(values)
          count = values.size
          middle = (count - 1) / 2.0
          mean = values.sum / count
          slope = values.each_with_index.sum { |value, index| (value - mean) * (index - middle) } / (0...count).sum { |index| (index - middle)**2 }
          values.each_with_index.map { |value, index| value - mean - (slope * (index - middle)) }
        end

        # The first shift at which the trace lies on itself again.
        def find_period
          shortest, longest = [RPM.end, RPM.begin].map { |rpm| 120.0 / (rpm * @cylinders * @width) }
          shifts = ([shortest.floor, 2].max..[longest.ceil, @values.size / 2].min)
          alike = shifts.to_h { |shift| [shift, correlation(shift)] }
          peaks = shifts.select { |shift| peak?(alike, shift) }
          most = peaks.map { |shift| alike[shift] }.max
          return if most.nil? || most < ALIKE

          first = peaks.find { |shift| alike[shift] >= FIRST_SHARE * most }
          sharpened(first)
        end

        def peak?(alike, shift)
          before, here, after = alike.values_at(shift - 1, shift, shift + 1)
          before && after && here > before && here >= after
        end

        def correlation(shift)
          count = @values.size - shift
          product = own = other = 0.0
          count.times do |index|
            one = @values[index]
            two = @values[index + shift]
            product += one * two
            own += one * one
            other += two * two
          end
          own.positive? && other.positive? ? product / Math.sqrt(own * other) : 0.0
        end

        # Many humps on, the same error of a slice is a smaller one of each.
        def sharpened(first)
          exact = vertex(first)
          [2, 4, 8].each do |humps|
            near = (exact * humps).round
            break if near + 1 > @values.size * 2 / 3

            best = ((near - (first / 4))..(near + (first / 4))).max_by { |shift| correlation(shift) }
            break if correlation(best) < ALIKE

            exact = vertex(best) / humps
          end
          exact
        end

        # Top of the parabola through three neighbours.
        def vertex(shift)
          before, here, after = [shift - 1, shift, shift + 1].map { |one| correlation(one) }
          bend = before - (2 * here) + after
          bend.zero? ? shift.to_f : shift + (0.5 * (before - after) / bend)
        end

        # From the lowest between two humps up to the top, the lows on either side alike.
        def hump_heights
          tops = hump_tops
          lows = tops.each_cons(2).map { |one, two| @values[one..two].min }
          tops.each_cons(3).with_index.map { |(_, top, _), index| @values[top] - ((lows[index] + lows[index + 1]) / 2) }
        end

        def hump_tops
          top = highest(0, @period.ceil)
          tops = [top]
          while (near = top + @period) + (@period / 4) < @values.size
            top = highest((near - (@period / 4)).floor, (near + (@period / 4)).ceil)
            tops << top
          end
          tops
        end

        def highest(from, to) = (from..[to, @values.size - 1].min).max_by { |index| @values[index] }
      end
    end
  end
end
