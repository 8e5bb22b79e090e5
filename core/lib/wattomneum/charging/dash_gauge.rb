# frozen_string_literal: true

module Wattomneum
  module Charging
    # A dash voltmeter with end marks only: readable to about a volt.
    module DashGauge
      NEEDLE_ERROR_RATIO = 0.1

      # Formula: linear between the end marks; a needle is read to a tenth of the scale (common practice).
      #
      # @param share_ratio [Float] where the needle stands, 0 at the lower mark, 1 at the upper
      # @param low_volt [Float]
      # @param high_volt [Float]
      # @return [Array(Float, Float)] volts and their error either way
      # @raise [InvalidQuantityError] if the share is outside 0..1
      # @example half way between 8 and 18 V   # => [13.0, 1.0]
      def self.volts(share_ratio:, low_volt:, high_volt:)
        raise InvalidQuantityError.new("share_ratio must be within 0..1, got #{share_ratio}", field: 'share_ratio') unless share_ratio.between?(0, 1)

        span = high_volt - low_volt
        [low_volt + (share_ratio * span), NEEDLE_ERROR_RATIO * span]
      end
    end
  end
end
