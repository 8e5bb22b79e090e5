# frozen_string_literal: true

module Wattomneum
  module Numerics
    # How much an answer tells.
    module Entropy
      # Source: Shannon 1948, entropy; of a yes or no.
      #
      # @param share [Float] probability of one of the two answers, 0 to 1
      # @return [Float] bits; none where the answer is known
      # @example 0.5   # => 1.0
      def self.bits(share) = of([share, 1 - share])

      # @param shares [Array<Float>] probabilities of the answers, together 1
      # @return [Float] bits
      # @example [0.5, 0.25, 0.25]   # => 1.5
      def self.of(shares) = shares.select(&:positive?).sum { |one| -one * Math.log2(one) }
    end
  end
end
