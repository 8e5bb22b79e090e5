# frozen_string_literal: true

module Server
  # A weather service outside: how cold the coming night gets at a place, how cold the last one was.
  class Weather
    # low_celsius of the night before a dawn; mean of the day before; low as it was measured: nil where it is not known
    Told = Struct.new(:low_celsius, :day_before_celsius, :measured_celsius, keyword_init: true)

    ON_EARTH = (-60..45)
    private_constant :ON_EARTH

    # @param url [String] of the service
    def initialize(url)
      @url = url
    end

    # @param place [String]
    # @param dawn [Date]
    # @return [Told]
    # @raise [Outside::Silent]
    def night(place, dawn)
      told = Outside.json("#{@url}/night", { place: place, dawn: dawn.iso8601 })
      Told.new(low_celsius: celsius(told['low_celsius']) || raise(Outside::Silent, 'it says no low'),
               day_before_celsius: celsius(told['day_before_celsius']), measured_celsius: celsius(told['measured_celsius']))
    end

    private

    def celsius(value)
      return if value.nil?
      raise Outside::Silent, 'its temperature is none' unless value.is_a?(Numeric) && ON_EARTH.cover?(value)

      value.to_f
    end
  end
end
