# frozen_string_literal: true

module Wattomneum
  # Tests and the readings they give.
  module Readings
    # All tests the product knows, from core/data/tests.yml, in the order of work.
    module Catalogue
      ALL = DataFile.load('tests').map { |row| TestDefinition.new(row) }.freeze
      # What nobody is asked for any more; readings taken by them keep their meaning.
      OLD = DataFile.load('old_tests').map { |row| TestDefinition.old(row) }.freeze
      BY_KEY = (ALL + OLD).to_h { |test| [test.key, test] }.freeze
      # The two sides of the start loop, each read as a whole; the ground first, which fails more often (common practice).
      START_SIDES = %w[ground_drop positive_drop].freeze
      BY_PLACES = ALL.select(&:along_circuit?).to_h do |test|
        [[[test.from, test.to].sort, Circuits::Situations.of_test(test.state).key], test]
      end.freeze
      private_constant :BY_PLACES
      STATES = { 'off' => 'engine stopped', 'key_on' => 'key on, engine stopped', 'cranking' => 'cranking',
                 'idle' => 'running, idle', 'fast_idle' => 'running, fast idle',
                 'fast_idle_loaded' => 'running, fast idle, loads on' }.freeze
      INSTRUMENTS = ['multimeter', 'clamp meter', 'battery tester', 'carbon pile', 'hydrometer', 'oscilloscope',
                     'test lamp', 'tachometer', 'dash gauge', 'bar', 'eyes', 'eyes and ears', 'eyes and hands'].freeze

      # @param key [String]
      # @return [TestDefinition]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        BY_KEY.fetch(key) { raise UnknownKeyError, "no test #{key}" }
      end

      # @param probe [Probe]
      # @param sheet [Circuits::Sheet] the unit's circuit
      # @return [TestDefinition, nil] the test that reads the same, however it is named there
      def self.along(probe, sheet)
        return unless probe.by == 'volts'

        from, to = [probe.from, probe.to].map { |node| sheet.places.filter_map { |place, at| place if at == node } }
        from.product(to).filter_map { |pair| BY_PLACES[[pair.sort, probe.situation]] }.find { |test| test.probe(sheet).alike?(probe) }
      end

      # @param system [Units::ElectricalSystem]
      # @return [Array<TestDefinition>] tests that make sense on this unit
      def self.for(system)
        ALL.select { |test| test.fits?(system) }
      end
    end
  end
end
