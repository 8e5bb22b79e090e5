# frozen_string_literal: true

module Wattomneum
  module Quantities
    # How numbers are written in sentences: as many decimals as a good meter shows, no more.
    module Figure
      # @param value [Float] in volts
      # @return [String] "12.6 V", "0.21 V" or "45 mV"
      def self.volt(value)
        return "#{trim(value * 1000, 1)} mV" if value.abs < 0.1 && !value.zero?

        "#{format('%.2f', value)} V"
      end

      # @param value [Float] in amperes
      # @return [String]
      def self.ampere(value)
        return "#{trim(value * 1000, 0)} mA" if value.abs < 1

        "#{trim(value, value.abs < 20 ? 1 : 0)} A"
      end

      # @param value [Float] in ohms
      # @return [String] with the prefix people say
      def self.ohm(value)
        scale, prefix = [[1e6, 'M'], [1e3, 'k'], [1.0, '']].find { |factor, _| value.abs >= factor } || [1e-3, 'm']
        "#{trim(value / scale, 2)} #{prefix}ohm"
      end

      # @param value [Float] in percent
      # @return [String]
      def self.percent(value) = "#{value.round} %"

      # @param value [Float] in turns a minute
      # @return [String]
      def self.rpm(value) = "#{value.round} rpm"

      # @param value [Float] in degrees Celsius
      # @return [String]
      def self.celsius(value) = "#{trim(value, 1)} degC"

      # @param value [Float]
      # @param decimals [Integer]
      # @return [String] rounded, without trailing zeros
      def self.trim(value, decimals)
        text = format("%.#{decimals}f", value)
        text.include?('.') ? text.sub(/\.?0+\z/, '') : text
      end
    end
  end
end
