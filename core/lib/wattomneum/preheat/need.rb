# frozen_string_literal: true

module Wattomneum
  # Glow plugs and intake heaters: how long, how much, and what a timer of another engine does.
  module Preheat
    # Seconds of heat that an engine wants before it is cranked.
    module Need
      ENGINES = DataFile.load('preheat')['engines'].to_h { |row| [row['key'], row] }.freeze
      KNOWN_AT_CELSIUS = -10.0
      # Nothing is known of it further down; it is not carried on (ours).
      LEAST_CELSIUS = -30.0

      # @param engine [String] of ENGINES
      # @param celsius [Float]
      # @return [Range] seconds
      # @raise [UnknownKeyError]
      def self.seconds(engine, celsius:)
        row = ENGINES.fetch(engine) { raise UnknownKeyError, "no engine with such a pre-heat: #{engine}" }
        ratio = ((row['none_above'] - celsius.clamp(LEAST_CELSIUS, row['none_above'])) / (row['none_above'] - KNOWN_AT_CELSIUS))
        least, most = row['seconds'].map { |one| one * ratio }
        least..most
      end

      # @param engine [String]
      # @param celsius [Float]
      # @param timer_seconds [Float] that the lamp is lit
      # @return [String] short, fits or long
      def self.fit(engine, celsius:, timer_seconds:)
        wanted = seconds(engine, celsius: celsius)
        return 'short' if timer_seconds < wanted.begin

        timer_seconds > wanted.end ? 'long' : 'fits'
      end
    end
  end
end
