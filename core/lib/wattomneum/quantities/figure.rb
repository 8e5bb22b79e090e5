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

      # @param value [Float] in base units
      # @param spread [Float] in the same
      # @yieldparam figure [Float]
      # @yieldreturn [String] as it is spoken, with its unit
      # @return [String] both in the unit of the first: "0.21 V, give or take 0.07 V"
      def self.give_or_take(value, spread)
        spoken = yield(value)
        number, unit = spoken.split(' ', 2)
        return "#{spoken}, give or take #{yield(spread)}" if value.zero? || unit.nil?

        scaled = spread * number.to_f / value
        decimals = [number.split('.')[1].to_s.size, 2].max
        significant = scaled.positive? ? 1 - Math.log10(scaled).floor : 0
        "#{spoken}, give or take #{trim(scaled, significant.clamp(0, decimals))} #{unit}"
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
