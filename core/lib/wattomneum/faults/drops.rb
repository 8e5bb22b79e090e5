# frozen_string_literal: true

module Wattomneum
  module Faults
    # The drops of a job, by whichever way they were entered: a test of the catalogue names two places of the circuit, and volts between
    # these two places are a reading of that test.
    class Drops
      # @return [Array<Readings::Reading>] tests of the catalogue as they were entered
      attr_reader :own

      # @param sheet [Circuits::Sheet, nil] the unit's circuit
      # @param readings [Array<Readings::Reading>]
      # @param points [Array<Readings::PointReading>]
      def initialize(sheet, readings, points)
        @sheet = sheet
        @own = readings
        @between = points
      end

      # @return [Array<Readings::Reading>] the tests, and what was read at their places, in the order they were taken
      def readings = (own + @between.filter_map { |point| as_test(point) }).sort_by(&:taken_at)

      # @return [Array<Readings::PointReading>] what was read between two points, and the tests that are that
      def points = @between + own.select { |reading| reading.test.along_circuit? }.map { |reading| as_points(reading) }

      private

      def as_points(reading)
        probe = @sheet && reading.test.probe(@sheet, state: reading.state)
        Readings::PointReading.new(id: reading.id, probe: probe || LOST, taken_at: reading.taken_at, value: reading.value, unit: reading.unit,
                                   overload: reading.overload, conditions: reading.conditions.to_h, instrument: reading.instrument,
                                   round: reading.round, half_digit: reading.half_digit)
      end

      LOST = Readings::Probe.new(by: 'volts', from: nil, to: nil, situation: nil)
      private_constant :LOST

      def as_test(point)
        return unless point.probe.by == 'volts' && @sheet

        test = Readings::Catalogue.along(point.probe, @sheet) or return
        Readings::Reading.new(id: point.id, test_key: test.key, taken_at: point.taken_at, value: point.value, overload: point.overload,
                              unit: point.unit, conditions: point.conditions.to_h, instrument: point.instrument, round: point.round,
                              half_digit: point.half_digit)
      end
    end
  end
end
