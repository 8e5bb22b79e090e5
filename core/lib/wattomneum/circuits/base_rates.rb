# frozen_string_literal: true

module Wattomneum
  module Circuits
    # How often each kind of element is the cause, and what exposure of its zone adds (core/data/element_rates.yml).
    module BaseRates
      RATES = DataFile.load('element_rates').freeze
      private_constant :RATES

      # @param kind [String] of a component, or wire
      # @param sheet [Sheet]
      # @param zone [String, nil] of that sheet
      # @return [Float] relative to an open run of wire
      def self.of(kind, sheet, zone)
        exposure = sheet.zones.dig(zone, 'exposure') || []
        RATES['kinds'].fetch(kind, 1.0) * (1 + exposure.sum { |one| RATES['exposure'].fetch(one, 0.0) })
      end
    end
  end
end
