# frozen_string_literal: true

module Wattomneum
  module Quantities
    # The units people read off a meter, and how each becomes the one base unit of its quantity.
    module Unit
      # quantity => symbol on the meter => factor to the base unit (the first symbol is the base unit)
      FACTORS = {
        'voltage' => { 'V' => 1.0, 'mV' => 1e-3 },
        'ripple' => { 'V pp' => 1.0, 'mV pp' => 1e-3, 'V AC' => 1.0, 'mV AC' => 1e-3 },
        'current' => { 'A' => 1.0, 'mA' => 1e-3 },
        'resistance' => { 'ohm' => 1.0, 'mohm' => 1e-3, 'kohm' => 1e3, 'Mohm' => 1e6 },
        'conductance_cca' => { 'A' => 1.0 },
        'specific_gravity' => { 'SG' => 1.0 },
        'temperature' => { 'degC' => 1.0, 'degF' => nil },
        'speed' => { 'rpm' => 1.0 },
        'observation' => {}
      }.freeze

      # @param quantity [String]
      # @return [Array<String>] symbols that may be written behind a number of this quantity, base unit first
      def self.symbols(quantity)
        FACTORS.fetch(quantity).keys
      end

      # @param quantity [String]
      # @return [String, nil] symbol of the base unit; nil for an observation
      def self.base(quantity)
        symbols(quantity).first
      end

      # @param number [Float] as read, in `symbol`
      # @param symbol [String]
      # @param quantity [String]
      # @return [Float] the same in the base unit of the quantity
      def self.to_base(number, symbol, quantity)
        return (number - 32) / 1.8 if symbol == 'degF'

        number * FACTORS.fetch(quantity).fetch(symbol)
      end
    end
  end
end
