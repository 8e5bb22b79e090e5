# frozen_string_literal: true

module Wattomneum
  module Readings
    # The ways of measuring between two points.
    module Methods
      # quantity: of Quantities::Unit; choices: what can be seen, for lamp and eye
      Row = Struct.new(:key, :label, :quantity, :instrument, :choices, :minutes, keyword_init: true)
      ALL = DataFile.load('point_methods').map { |row| Row.new(**row.transform_keys(&:to_sym), choices: row.fetch('choices', [])).freeze }.freeze

      # @param key [String]
      # @return [Row]
      # @raise [UnknownKeyError]
      def self.fetch(key) = ALL.find { |row| row.key == key } || raise(UnknownKeyError, "no way of measuring called #{key}")
    end
  end
end
