# frozen_string_literal: true

module Wattomneum
  module Quantities
    # A figure as people type it: "12,6", "−0.3", "300 mΩ", "20 °C", "2.5 mm²", "5 µA", or the plain forms of the same.
    module Typed
      # What stands for a plain sign, from longer to shorter. Ω and µ exist twice in Unicode.
      SIGNS = { '℃' => 'degC', '°C' => 'degC', '° C' => 'degC', '℉' => 'degF', '°F' => 'degF', "\u03A9" => 'ohm', "\u2126" => 'ohm',
                "\u00B5" => 'u', "\u03BC" => 'u', '²' => '2', '−' => '-', "\u00A0" => ' ', "\u202F" => ' ' }.freeze
      SHORT = { 'C' => 'degC', 'F' => 'degF', 'k' => 'kohm', 'M' => 'Mohm' }.freeze
      SPLIT = /\A([+-]?\d+(?:[.,]\d+)?(?:[eE][+-]?\d+)?)\s*(mm2|[a-zA-Z%]+(?: pp| AC)?)?\z/
      private_constant :SIGNS, :SHORT, :SPLIT

      # @param text [String]
      # @return [String] the same in plain signs
      def self.plain(text) = SIGNS.reduce(text.strip) { |sofar, (sign, word)| sofar.gsub(sign, word) }

      # @param text [String]
      # @return [Array(String, String)] the number as typed, in plain signs, and its unit, nil where none was typed; two nils where it is
      #   no number with at most a unit behind it
      def self.split(text)
        number, unit = plain(text).match(SPLIT)&.captures
        unit = unit&.strip
        [number, unit && SHORT.fetch(unit, unit)]
      end
    end
  end
end
