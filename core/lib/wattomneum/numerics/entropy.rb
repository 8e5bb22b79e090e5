# frozen_string_literal: true

module Wattomneum
  module Numerics
    # How much an answer tells.
    module Entropy
      # Source: Shannon 1948, entropy of a yes or no.
      #
      # @param share [Float] probability of one of the two answers, 0 to 1
      # @return [Float] bits; none where the answer is known
      # @example 0.5   # => 1.0
      def self.bits(share)
        [share, 1 - share].select(&:positive?).sum { |one| -one * Math.log2(one) }
      end
    end
  end
end
