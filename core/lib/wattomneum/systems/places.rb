# frozen_string_literal: true

module Wattomneum
  module Systems
    Place = Struct.new(:key, :label, :when, keyword_init: true)
    # A part between two places that can be repaired; cautions are ids, for the hand that mends it.
    Element = Struct.new(:key, :label, :system, :places, :base_rate, :access_minutes, :when, :cautions, keyword_init: true)

    # The named points and parts of start and charge circuits, from core/data.
    module Places
      rows = ->(file, type) { DataFile.load(file).map { |row| type.new(**row.transform_keys(&:to_sym)).freeze } }
      ALL = rows.call('places', Place).freeze
      ELEMENTS = rows.call('elements', Element).freeze

      # @param key [String]
      # @return [Place]
      # @raise [UnknownKeyError]
      def self.fetch(key)
        ALL.find { |place| place.key == key } || raise(UnknownKeyError, "no place #{key}")
      end

      # @param key [String]
      # @return [Element]
      # @raise [UnknownKeyError]
      def self.element(key)
        ELEMENTS.find { |element| element.key == key } || raise(UnknownKeyError, "no element #{key}")
      end
    end
  end
end
