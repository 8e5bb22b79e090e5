# frozen_string_literal: true

module Wattomneum
  module ColdStart
    # What is otherwise than at a unit's crank test once something was done to it.
    #   bank_ratio: resistance of the bank, drop_ratio: ohms of cables and grounds, both against the test; heated_celsius: of the oil
    Mended = Struct.new(:bank_ratio, :drop_ratio, :heated_celsius, keyword_init: true) do
      # @return [Mended] as at the test
      def self.nothing = new

      def initialize(bank_ratio: 1.0, drop_ratio: 1.0, heated_celsius: 0.0)
        super
        freeze
      end
    end
  end
end
