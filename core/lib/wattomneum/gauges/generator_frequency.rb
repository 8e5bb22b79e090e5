# frozen_string_literal: true

module Wattomneum
  module Gauges
    # Frequency of a generator set, from the speed of its engine.
    module GeneratorFrequency
      # @param poles [Integer] 2, 4 or 6, on the plate
      # @param rpm [Float]
      # @return [Float] hertz: poles x rpm / 120
      # @raise [InvalidQuantityError] for no poles, an odd number of them, or no speed
      def self.hertz(poles:, rpm:)
        OverZero.check(poles: poles, rpm: rpm)
        raise InvalidQuantityError.new("Poles come in pairs, got #{poles.round}", field: 'poles') unless (poles % 2).zero?

        poles * rpm / 120.0
      end

      # @param poles [Integer]
      # @param hertz [Float]
      # @return [Float] revolutions a minute
      # @raise [InvalidQuantityError]
      def self.rpm(poles:, hertz:)
        OverZero.check(hertz: hertz)
        hertz / self.hertz(poles: poles, rpm: 1.0)
      end
    end
  end
end
