# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What sound sister units read in like conditions: said where no limit is printed, never in the place of one.
    class Baseline
      # Fewer tell nothing (ours).
      LEAST_UNITS = 3
      # Readings taken warmer or colder than this are no like conditions (ours).
      ALIKE_CELSIUS = 8.0
      # Median absolute deviation to standard deviation of a normal law; how many of them are far (Hampel 1974: 3).
      TO_DEVIATION = 1.4826
      FAR_DEVIATIONS = 3.0
      private_constant :TO_DEVIATION, :FAR_DEVIATIONS

      # @return [Integer] units behind it
      attr_reader :count
      # @return [Float] in the base unit of the test
      attr_reader :median, :spread

      # @param values [Array<Float>] the newest sound one of each sister
      # @param least_spread [Float] what the instrument may be off: no sister is far within it
      # @return [Baseline, nil] nil where too few are known
      def self.of(values, least_spread: 0.0) = values.size < LEAST_UNITS ? nil : new(values, least_spread)

      # Source: median and scaled median absolute deviation, Hampel 1974.
      def initialize(values, least_spread)
        @count = values.size
        @median = Numerics::Median.of(values)
        @spread = [TO_DEVIATION * Numerics::Median.of(values.map { |value| (value - @median).abs }), least_spread].max
        freeze
      end

      # @param value [Float]
      # @return [Boolean] whether it lies where sound sisters do not
      # @example 10.1 where sisters read 10.6, 10.7, 10.5, 10.6   # => true
      def far?(value) = (value - median).abs > FAR_DEVIATIONS * spread
    end
  end
end
