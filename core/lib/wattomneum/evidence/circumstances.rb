# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What else is known when one reading is judged: the unit, the other readings, the limits in force.
    class Circumstances
      attr_reader :system, :readings, :limits

      # @param system [Units::ElectricalSystem]
      # @param readings [Array<Readings::Reading>] all that stand: neither superseded nor withdrawn
      # @param limits [Limits::Table]
      def initialize(system:, readings:, limits: Limits::Table.shipped)
        @system = system
        @readings = readings.sort_by(&:taken_at)
        @limits = limits
      end

      # The reading of another test that belongs to this one: the same round of work, between the same two repairs. Of what the engine does when
      # it is cranked, one that fits what it did in the moment of this reading, where that was said.
      #
      # @param reading [Readings::Reading]
      # @param test_key [String]
      # @param position [String, nil]
      # @return [Readings::Reading, nil] the last one taken
      def companion(reading, test_key, position: nil)
        newest_first(test_key).find do |other|
          other.round == reading.round && other.position == position && other.state == other.test.state && of_its_moment?(other, reading)
        end
      end

      # @param test_key [String]
      # @param position [String, nil]
      # @param round [Integer] readings of later rounds are left out
      # @return [Readings::Reading, nil] the last one taken up to this round
      def latest(test_key, position: nil, round: Float::INFINITY)
        newest_first(test_key).find { |other| other.position == position && other.round <= round }
      end

      # @return [Moment] what of these readings cannot be true together
      def moment = @moment ||= Moment.new(self)

      # State of charge of the battery that one reading was taken on: from its rest voltage or hydrometer reading just
      # before, or else the first one after. Charging in between makes an earlier test no better.
      #
      # @param reading [Readings::Reading]
      # @return [Float, nil] percent; nil when nobody measured it
      def charge_percent(reading) = charge(reading)&.figures&.fetch(:charge_percent, nil)

      # @param reading [Readings::Reading]
      # @return [Judgement, nil] of the reading that its charge is known by
      def charge(reading)
        found = CHARGE_TESTS.flat_map { |key| newest_first(key) }.select { |other| same_battery?(other, reading) }.sort_by(&:taken_at)
        nearest = found.reverse.find { |other| other.taken_at <= reading.taken_at } || found.first
        nearest && Judging.call(nearest, self)
      end

      CHARGE_TESTS = %w[rest_voltage hydrometer].freeze
      private_constant :CHARGE_TESTS

      private

      def of_its_moment?(other, reading)
        said = EngineSaid.beside(reading)
        said.nil? || other.test_key != 'cranking_behaviour' || EngineSaid.of(other.observation) == said
      end

      def newest_first(test_key) = (@newest_first ||= readings.reverse.group_by(&:test_key)).fetch(test_key, [])

      def same_battery?(one, other)
        one.position == other.position && one.battery&.tag == other.battery&.tag
      end
    end
  end
end
