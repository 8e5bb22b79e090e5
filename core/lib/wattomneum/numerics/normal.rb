# frozen_string_literal: true

module Wattomneum
  module Numerics
    # The normal distribution.
    module Normal
      ROOT_TWO = Math.sqrt(2.0)
      ROOT_TWO_PI = Math.sqrt(2.0 * Math::PI)
      private_constant :ROOT_TWO, :ROOT_TWO_PI

      # @param z [Float] standardised
      # @return [Float] probability of less than that
      # @example 1.0   # => 0.8413
      def self.below(z) = 0.5 * Math.erfc(-z / ROOT_TWO)

      # @param z [Float]
      # @return [Float] density there; 0 at either infinity
      def self.density(z) = z.infinite? ? 0.0 : Math.exp(-0.5 * z * z) / ROOT_TWO_PI

      # Source: Box and Muller 1958.
      #
      # @param random [Random]
      # @return [Float] drawn from it
      def self.drawn(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)

      # What is known of a value after it is known to lie between two others.
      # Formula: mean k1 = (phi(a) - phi(b)) / Z, variance 1 - (k1^2 - k2), k2 = (a phi(a) - b phi(b)) / Z.
      # Source: moments of the truncated normal distribution.
      #
      # @param lower [Float] standardised, or minus infinity
      # @param upper [Float] standardised, or infinity
      # @return [Array(Float, Float, Float)] probability Z of lying there, k1, k2
      def self.between(lower, upper)
        share = below(upper) - below(lower)
        return [0.0, 0.0, 0.0] unless share > 1e-12

        one = density(lower)
        other = density(upper)
        [share, (one - other) / share, (weighted(lower, one) - weighted(upper, other)) / share]
      end

      # Nothing at either infinity.
      def self.weighted(z, density) = z.infinite? ? 0.0 : z * density
      private_class_method :weighted
    end
  end
end
