# frozen_string_literal: true

module Wattomneum
  module Numerics
    # Things numbered from 0 that were joined into groups, two at a time.
    class Unions
      # @param size [Integer] how many there are, each by itself at first
      def initialize(size)
        @leads_to = (0...size).to_a
      end

      # @param one [Integer]
      # @param other [Integer]
      def join(one, other) = @leads_to[of(one)] = of(other)

      # @param one [Integer]
      # @return [Integer] the same for all of its group
      def of(one)
        one = @leads_to[one] until @leads_to[one] == one
        one
      end

      # @param one [Integer]
      # @return [Array<Integer>] its group, itself among it
      def with(one) = @leads_to.each_index.select { |other| of(other) == of(one) }
    end
  end
end
