# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # A trace in slices of even width, as many as are kept at most: when they are full each two become one, so that the longest trace takes
      # no more room than a short one.
      class Bins
        MOST = 65_536
        # No engine's ripple asks for more (ours).
        LEAST_WIDTH_SECOND = 0.001

        attr_reader :width_second, :first_second, :last_second, :longest_gap

        # A stretch in which the instrument wrote nothing.
        Gap = Struct.new(:from_second, :second, keyword_init: true)

        # @param width_second [Float] of a slice at first: no less than the time between two rows
        # @param most [Integer]
        def initialize(width_second:, most: MOST)
          @width_second = [width_second, LEAST_WIDTH_SECOND].max
          @most = most
          @counts = []
          @volts = []
          @amperes = []
        end

        # @param second [Float] later than those before
        # @param volt [Float, nil]
        # @param ampere [Float, nil]
        def add(second, volt, ampere)
          @first_second ||= second
          note_gap(second)
          @last_second = second
          index = ((second - @first_second) / @width_second).to_i
          index = merged(second) while index >= @most
          @counts[index] = (@counts[index] || 0) + 1
          @volts[index] = (@volts[index] || 0.0) + volt if volt
          @amperes[index] = (@amperes[index] || 0.0) + ampere if ampere
        end

        # @return [Integer]
        def size = @counts.size

        # @return [Array<Float, nil>] mean volts of each slice; nil where nothing was written
        def volts = means(@volts)
        # @return [Array<Float, nil>] mean amperes of each slice
        def amperes = means(@amperes)

        # @param index [Integer]
        # @return [Float] second from the first row, at the middle of the slice
        def second(index) = (index + 0.5) * @width_second

        # Times the width of a slice, at least: less is the instrument's own unevenness (ours).
        GAP_WIDTHS = 8
        private_constant :GAP_WIDTHS

        private

        def note_gap(second)
          return if @last_second.nil?

          length = second - @last_second
          return if length < GAP_WIDTHS * @width_second || (@longest_gap && length <= @longest_gap.second)

          @longest_gap = Gap.new(from_second: @last_second - @first_second, second: length)
        end

        def merged(second)
          @counts = pairs(@counts, :+)
          @volts = pairs(@volts, :+)
          @amperes = pairs(@amperes, :+)
          @width_second *= 2
          ((second - @first_second) / @width_second).to_i
        end

        def pairs(values, sum) = values.each_slice(2).map { |two| two.compact.reduce(sum) }

        def means(sums) = Array.new(size) { |index| sums[index] && (sums[index] / @counts[index]) }
      end
    end
  end
end
