# frozen_string_literal: true

module Wattomneum
  # Tests and the readings they give.
  module Readings
    # All tests the product knows, from core/data/tests.yml, in the order of work.
    module Catalogue
      ALL = DataFile.load('tests').map { |row| TestDefinition.new(row) }.freeze
      BY_KEY = ALL.to_h { |test| [test.key, test] }.freeze
      STATES = { 'off' => 'engine stopped', 'key_on' => 'key on, engine stopped', 'cranking' => 'cranking',
                 'idle' => 'running, idle', 'fast_idle' => 'running, fast idle',
                 'fast_idle_loaded' => 'running, fast idle, loads on' }.freeze
      INSTRUMENTS = ['multimeter', 'clamp meter', 'battery tester', 'carbon pile', 'hydrometer', 'oscilloscope',
                     'test lamp', 'dash gauge', 'bar', 'eyes', 'eyes and ears', 'eyes and hands'].freeze

      # @param key [String]
      # @return [TestDefinition]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        BY_KEY.fetch(key) { raise UnknownKeyError, "no test #{key}" }
      end

      # @param system [Systems::ElectricalSystem]
      # @return [Array<TestDefinition>] tests that make sense on this unit
      def self.for(system)
        ALL.select { |test| test.fits?(system) }
      end
    end
  end
end
