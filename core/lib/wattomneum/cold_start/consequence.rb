# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # How much it matters that a unit starts: the order of an evening's list.
    module Consequence
      ROWS = Table::DATA.fetch('matters')
      KEYS = ROWS.keys.freeze

      # Formula: chance of no start x weight of what it is needed for; ours.
      #
      # @param chance [Float] of no start
      # @param matters [String] one of KEYS
      # @return [Float] only compared
      # @example 0.3 of what cannot wait   # => 0.75
      def self.rank(chance, matters) = chance * ROWS.fetch(matters).fetch('weight')

      # @param matters [String]
      # @return [String] empty for what is usual
      def self.words(matters) = ROWS.fetch(matters).fetch('words')
    end
  end
end
