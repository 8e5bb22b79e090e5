# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What mornings say of one unit's threshold and nothing else does: how likely they are for each temperature at which it may lie. They multiply,
    # the older the less; what is done to the unit shifts and blurs what those before it said.
    #
    # Formula: ln L(T) = sum .97^k ln(.98 P(outcome | T) + .02), k mornings ago; P by Phi((limit - T - off) / sqrt((g s_S)^2 + 2.2^2 + .5^2)).
    class Evidence
      STEP_CELSIUS = 1.5
      # Temperatures of the grid.
      GRID = Array.new(41) { |index| -45.0 + (STEP_CELSIUS * index) }.freeze
      MISTAKEN = Table.figure('threshold', 'mistaken')
      # Of what each morning said so much stays with the next one: a unit is not for ever as it was.
      STAYS = 1.0 - Table.figure('threshold', 'fades_each_morning')
      # Further down nothing is left of a likelihood, as a number or as a thought.
      LEAST = -60.0
      private_constant :MISTAKEN, :STAYS, :LEAST

      # @return [Array<Float>] logarithm of the likelihood at each temperature of the grid, 0 at the likeliest
      attr_reader :logs

      # @param logs [Array<Float>]
      def initialize(logs = nil)
        @logs = logs || Array.new(GRID.size, 0.0)
      end

      # @return [Boolean] whether any morning told anything
      def none? = @logs.all?(&:zero?)

      # @param morning [Morning] of a unit whose threshold lies at 0
      # @param outcome [String] that tells something
      # @return [Evidence] with that morning
      def with(morning, outcome)
        sums = GRID.each_with_index.map do |celsius, index|
          (@logs[index] * STAYS) + Math.log(((1 - MISTAKEN) * morning.likelihood(outcome, celsius)) + MISTAKEN)
        end
        self.class.new(lifted(sums))
      end

      # @param by_celsius [Float] that the threshold moved
      # @param variance [Float] degC squared, of how far
      # @param another [Float] how likely it is another unit altogether since, of which earlier mornings say nothing
      # @return [Evidence] of the threshold as it is now
      def moved(by_celsius, variance, another: 0.0)
        return self if none? || (variance.zero? && by_celsius.zero?)

        shares = @logs.map { |log| Math.exp(log) }
        spread = [variance, (STEP_CELSIUS / 2)**2].max
        blurred = GRID.map do |to|
          kernel = GRID.map { |from| Math.exp(-0.5 * ((to - from - by_celsius)**2) / spread) }
          kernel.zip(shares).sum { |weight, share| weight * share } / [kernel.sum, 1e-300].max
        end
        self.class.new(lifted(blurred.map { |share| Math.log([((1 - another) * share) + (another * blurred.max), 1e-26].max) }))
      end

      # @param celsius [Float] mean of what is known besides
      # @param variance [Float] degC squared of it
      # @return [Array(Float, Float)] mean and variance with both
      def on(celsius, variance)
        return [celsius, variance] if none?

        weights = GRID.each_with_index.map { |at, index| Math.exp(@logs[index] - (0.5 * ((at - celsius)**2) / variance)) }
        sum = weights.sum
        return [celsius, variance] unless sum > 1e-200

        mean = GRID.zip(weights).sum { |at, weight| at * weight } / sum
        [mean, [GRID.zip(weights).sum { |at, weight| ((at - mean)**2) * weight } / sum, 1.0].max]
      end

      private

      # No finer than anybody can tell, so that what is kept of a thousand units stays small.
      def lifted(logs)
        most = logs.max
        logs.map { |log| log - most > LEAST ? (log - most).round(6) : LEAST }
      end
    end
  end
end
