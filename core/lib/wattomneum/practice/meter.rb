# frozen_string_literal: true

module Wattomneum
  module Practice
    # The display of a meter of 4,000 counts that ranges by itself. What stands on it is text: "0.0000" says more than "0.0".
    module Meter
      # Decimals of each range, by the most volts of it.
      DECIMALS = [[0.4, 4], [4.0, 3], [40.0, 2], [Float::INFINITY, 1]].freeze
      private_constant :DECIMALS

      # @param volt [Float]
      # @return [Float] volts of the last digit on its range
      def self.digit(volt) = 10.0**-decimals(volt)

      # @param volt [Float] as it reaches the display
      # @param range_of [Float] volts that decide on which range it stands
      # @return [Float] volts that are shown
      def self.shown(volt, range_of: volt) = volt.round(decimals(range_of))

      # @param volt [Float] that is shown
      # @return [String] with every digit
      # @example 0.0   # => "0.0000"
      # @example 12.6   # => "12.60"
      def self.text(volt) = format("%.#{decimals(volt)}f", volt)

      # Of the range that shows this.
      def self.decimals(volt) = DECIMALS.find { |most, _| volt.abs < most }.last
      private_class_method :decimals
    end
  end
end
