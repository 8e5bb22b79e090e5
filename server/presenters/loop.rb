# frozen_string_literal: true

module Server
  module Presenters
    # A circuit as a loop: places along feed and return, with the last reading over each stretch.
    class Loop
      # @param circuit [Wattomneum::Systems::Loop]
      # @param readings [Array<Hash>] as Presenters::Reading makes them, one a test
      def initialize(circuit, readings)
        @circuit = circuit
        @readings = readings.to_h { |reading| [[reading[:test_key], reading[:position]], reading] }
      end

      def call
        { key: @circuit.key, label: @circuit.label, load: @circuit.load,
          feed: side(@circuit.feed), return: side(@circuit.return),
          signals: @circuit.signals.map { |test| stretch(test) }, wholes: @circuit.wholes.map { |test| stretch(test) } }
      end

      private

      def side(places)
        places.each_with_index.map do |place, index|
          following = places[index + 1]
          { place: place.key, label: place.label, stretch: following && stretch_between(place, following) }
        end
      end

      def stretch_between(place, following)
        element = @circuit.element_between(place.key, following.key)
        test = @circuit.test_between(place.key, following.key)
        { element: element&.label, **(test ? stretch(test) : { test_key: nil, label: nil, reading: nil }) }
      end

      def stretch(test)
        { test_key: test.key, label: test.short, reading: brief(@readings[[test.key, nil]]) }
      end

      def brief(reading)
        reading&.slice(:id, :spoken, :taken_at)&.merge(verdict: reading.dig(:judged, :verdict) || reading[:verdict])
      end
    end
  end
end
