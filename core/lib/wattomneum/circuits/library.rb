# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The sheets that ship: invented units, realistic circuits.
    module Library
      TEXTS = DataFile.texts('sheets')
      # Each read once, when it is asked for: a sheet does not change.
      SHEETS = Hash.new { |read, key| read[key] = Notation::SheetReader.read(TEXTS.fetch(key)).sheet }
      private_constant :SHEETS

      # @return [Array<String>]
      def self.keys = TEXTS.keys

      # @param key [String]
      # @return [Sheet]
      # @raise [UnknownKeyError] if no sheet of that key ships
      def self.fetch(key)
        raise UnknownKeyError, "no sheet #{key} ships" unless TEXTS.key?(key)

        SHEETS[key]
      end
    end
  end
end
