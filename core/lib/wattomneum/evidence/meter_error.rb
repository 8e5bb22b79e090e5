# frozen_string_literal: true

module Wattomneum
  module Evidence
    # How far off a common workshop meter may be: within this of a limit a reading decides nothing.
    #
    # Source: 0.5 % and 2 digits on direct volts, 3 % and a zero that drifts for a clamp on direct current, 2 % for the speed of a
    # cranked engine; common practice.
    module MeterError
      VOLT_RATIO = 0.005
      VOLT_DIGITS = 2
      # Two readings taken one after the other with one meter on one range.
      DIFFERENCE_DIGITS = 4
      CLAMP_RATIO = 0.03
      CLAMP_ZERO_AMPERE = 2.0
      # A clamp for milliamperes that was set to nothing around nothing (from memory).
      SMALL_CLAMP_RATIO = 0.02
      SMALL_CLAMP_ZERO_AMPERE = 0.005
      # Strobe or count of a trace over some seconds: from memory.
      SPEED_RATIO = 0.02
      # Last digit of a meter of 4,000 counts that ranges by itself, by the most volts of each range.
      DIGITS = [[0.4, 0.0001], [4.0, 0.001], [40.0, 0.01], [Float::INFINITY, 0.1]].freeze
      private_constant :DIGITS

      # @param value [Float] volts as shown
      # @param half_digit [Float] what was rounded away when it was typed
      # @return [Float] volts that it may be off
      # @example 9.6 V   # => 0.068
      # @example 0.0 V, typed so   # => 0.05
      def self.volt(value, half_digit: 0.0) = (VOLT_RATIO * value.abs) + [VOLT_DIGITS * digit(value), half_digit].max

      # @param one [Float] volts as shown
      # @param other [Float] volts as shown
      # @param half_digits [Array<Float>] what was rounded away of each
      # @return [Float] volts that their difference may be off, both read on the range of the larger
      # @example 12.4 V and 11.4 V   # => 0.045
      def self.difference(one, other, half_digits: [])
        (VOLT_RATIO * (one - other).abs) + [DIFFERENCE_DIGITS * digit([one.abs, other.abs].max), half_digits.sum].max
      end

      # @param value [Float] amperes as shown by a clamp
      # @return [Float] amperes that it may be off
      # @example 600 A   # => 20.0
      def self.ampere(value) = (CLAMP_RATIO * value.abs) + CLAMP_ZERO_AMPERE

      # @param value [Float] amperes as shown by a clamp for milliamperes, or worked out from a fuse
      # @return [Float] amperes that it may be off
      # @example 60 mA   # => 0.0062
      def self.small_ampere(value) = (SMALL_CLAMP_RATIO * value.abs) + SMALL_CLAMP_ZERO_AMPERE

      # @param value [Float] turns a minute, of an engine that does not turn evenly while it cranks
      # @return [Float] turns a minute that it may be off
      # @example 180 rpm   # => 3.6
      def self.rpm(value) = SPEED_RATIO * value

      # A drop brought to another current: what the volts and what the clamp may be off both count.
      #
      # @param drop_volt [Float]
      # @param at_ampere [Float] greater than 0 A
      # @param to_ampere [Float]
      # @return [Float] volts that the scaled drop may be off
      # @example 0.35 V at 1400 A, brought to 600 A   # => 0.0058
      def self.scaled(drop_volt, at_ampere:, to_ampere:)
        ratio = to_ampere / at_ampere
        (volt(drop_volt) * ratio) + (drop_volt.abs * ratio * ampere(at_ampere) / at_ampere)
      end

      # Last digit of the range that shows this.
      def self.digit(value) = DIGITS.find { |most, _| value.abs < most }.last
      private_class_method :digit
    end
  end
end
