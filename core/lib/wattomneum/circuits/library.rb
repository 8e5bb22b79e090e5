# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The sheets that ship: invented units, realistic circuits.
    module Library
      TEXTS = DataFile.texts('sheets')

      # @return [Array<String>]
      def self.keys = TEXTS.keys

      # @param key [String]
      # @return [Sheet]
      # @raise [UnknownKeyError] if no sheet of that key ships
      def self.fetch(key)
        text = TEXTS.fetch(key) { raise UnknownKeyError, "no sheet #{key} ships" }
        Notation::SheetReader.read(text).sheet
      end
    end
  end
end
