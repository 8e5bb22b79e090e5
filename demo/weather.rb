# frozen_string_literal: true

require 'date'
require_relative '../core/lib/wattomneum'

module Demo
  # The nights of Skarrow Fell, made up and the same for whoever asks: what the weather stand-in tells, and what the demo fleet's past was.
  class Weather
    NIGHTS = Wattomneum::Practice::Winter::Nights
    EPOCH = Date.new(2025, 1, 1)
    DAYS = 2000
    # degC of the lows in the coldest and the warmest month. Higher yards are colder.
    PLACES = { 'Ridge Camp' => [-7.0, 7.0], 'High Dam' => [-5.0, 8.5], 'Stores' => [-3.0, 10.0], 'Low Sluice' => [-2.0, 10.5] }.freeze
    SPREAD_CELSIUS = 3.5
    # Around the end of January it is coldest.
    COLDEST_DAY = 28
    private_constant :NIGHTS, :EPOCH, :DAYS, :SPREAD_CELSIUS, :COLDEST_DAY

    # @param place [String]
    # @param dawn [Date]
    # @return [NIGHTS::Night, nil] nil for a place or a day that it knows nothing of
    def night(place, dawn)
      at = (dawn - EPOCH).to_i
      return unless PLACES.key?(place) && at.between?(0, DAYS - 1)

      off = seasonal(place, dawn)
      made_up(place)[at].then do |night|
        NIGHTS::Night.new(**night.to_h.transform_values { |celsius| (celsius + off).round(1) })
      end
    end

    private

    def made_up(place)
      (@made_up ||= {})[place] ||= NIGHTS.of(DAYS, Random.new(PLACES.keys.index(place) + 41), mean_celsius: 0.0, spread_celsius: SPREAD_CELSIUS)
    end

    def seasonal(place, dawn)
      cold, warm = PLACES.fetch(place)
      mild = 0.5 - (0.5 * Math.cos(2 * Math::PI * (dawn.yday - COLDEST_DAY) / 365.25))
      cold + ((warm - cold) * mild)
    end
  end
end
