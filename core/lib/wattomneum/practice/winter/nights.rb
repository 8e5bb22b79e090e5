# frozen_string_literal: true

module Wattomneum
  module Practice
    module Winter
      # The nights of one yard: cold spells that last some days.
      module Nights
        # low and day_before: degC as they were; forecast: the low as it was told in the evening
        Night = Struct.new(:low, :day_before, :forecast, keyword_init: true)
        SPELL = 0.8
        COLDEST_CELSIUS = -26.0
        private_constant :SPELL, :COLDEST_CELSIUS

        # @param count [Integer]
        # @param random [Random]
        # @param mean_celsius [Float] of the lows
        # @param spread_celsius [Float] of them
        # @return [Array<Night>]
        def self.of(count, random, mean_celsius: -4.5, spread_celsius: 5.0)
          spell = 0.0
          Array.new(count) do
            spell = (SPELL * spell) + (Math.sqrt(1 - (SPELL**2)) * Numerics::Normal.drawn(random))
            low = [mean_celsius + (spread_celsius * spell), COLDEST_CELSIUS].max
            Night.new(low: low, day_before: low + 4.0 + (1.5 * Numerics::Normal.drawn(random)), forecast: low + (1.3 * Numerics::Normal.drawn(random)))
          end
        end
      end
    end
  end
end
