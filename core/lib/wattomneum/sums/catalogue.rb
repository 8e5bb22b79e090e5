# frozen_string_literal: true

module Wattomneum
  module Sums
    # Every sum there is, from core/data/sums.yml, in the order of the page.
    module Catalogue
      ALL = DataFile.load('sums').map { |row| Sheet.new(row) }.freeze

      # @param key [String]
      # @return [Sheet]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        ALL.find { |sheet| sheet.key == key } || raise(UnknownKeyError, "no sum is called #{key}")
      end
    end
  end
end
