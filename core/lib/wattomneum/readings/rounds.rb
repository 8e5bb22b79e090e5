# frozen_string_literal: true

module Wattomneum
  module Readings
    # Rounds: what is read of a unit where nothing is complained of, from core/data/rounds.yml.
    module Rounds
      # A test of a round, and the tests whose figures are read in the same act.
      Step = Struct.new(:test, :together, keyword_init: true)

      # One kind of round.
      class Round
        attr_reader :key, :label, :words

        # @param row [Hash{String => Object}] a row of core/data/rounds.yml
        def initialize(row)
          @key, @label, @words = row.values_at('key', 'label', 'words')
          @steps = row.fetch('steps').map do |step|
            Step.new(test: Catalogue.fetch(step.fetch('test')), together: step.fetch('together', []).map { |key| Catalogue.fetch(key) })
          end
          freeze
        end

        # @param system [Units::ElectricalSystem]
        # @return [Array<Step>] those that this unit has the places for
        def steps(system)
          @steps.select { |step| step.test.fits?(system) }
        end
      end

      ALL = DataFile.load('rounds').map { |row| Round.new(row) }.freeze
      BY_KEY = ALL.to_h { |round| [round.key, round] }.freeze

      # @param key [String]
      # @return [Round]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        BY_KEY.fetch(key) { raise UnknownKeyError, "no round #{key}" }
      end
    end
  end
end
