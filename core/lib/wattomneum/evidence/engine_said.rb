# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What the engine did in the moment of a reading, as it was said beside it: a coarser word than the test of what it does has.
    module EngineSaid
      # Of the condition.
      KEY = 'engine_meanwhile'
      STANDS = 'does not turn'
      SLOW = 'slow'
      CRANKS = 'cranks'
      FAILS = [STANDS, SLOW].freeze
      WORDS = { 'normal' => CRANKS, 'starts_and_dies' => CRANKS, 'slow' => SLOW }.freeze
      private_constant :WORDS

      # @param observation [String] choice of the test of what the engine does when it is cranked
      # @return [String]
      def self.of(observation) = WORDS.fetch(observation, STANDS)

      # @param reading [Readings::Reading, Readings::PointReading]
      # @return [String, nil]
      def self.beside(reading) = reading.conditions.word(KEY)
    end
  end
end
