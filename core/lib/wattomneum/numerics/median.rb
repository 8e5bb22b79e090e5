# frozen_string_literal: true

module Wattomneum
  module Numerics
    # The middle one.
    module Median
      # @param values [Array<Float>] at least one
      # @return [Float] of an even number of them the mean of the two in the middle
      # @example [3.0, 1.0, 2.0, 10.0]   # => 2.5
      def self.of(values)
        sorted = values.sort
        (sorted[(sorted.size - 1) / 2] + sorted[sorted.size / 2]) / 2.0
      end
    end
  end
end
