# frozen_string_literal: true

module Wattomneum
  module Wiring
    # What a terminal number means.
    module TerminalNumbers
      ROWS = Conductor::TABLES['terminal_numbers']['rows'].to_h.freeze

      # Source: DIN 72552, from memory.
      #
      # @param number [String] "30", "87a"
      # @return [String]
      # @raise [UnknownKeyError]
      def self.meaning(number) = ROWS.fetch(number.to_s) { raise UnknownKeyError, "no terminal #{number} in DIN 72552" }
    end
  end
end
