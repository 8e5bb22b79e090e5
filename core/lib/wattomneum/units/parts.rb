# frozen_string_literal: true

module Wattomneum
  module Units
    # What of a unit is mended as a whole, from core/data/parts.yml.
    module Parts
      # cautions: ids, for the hand that mends it; kept: only repairs of the past name it
      Part = Struct.new(:key, :label, :minutes, :cautions, :kept, keyword_init: true)
      ALL = DataFile.load('parts').map { |row| Part.new(**row.transform_keys(&:to_sym)).freeze }.freeze
      # What a unit without a starter, one without batteries, and one that a converter charges do not have.
      STARTER = %w[starter].freeze
      BATTERIES = %w[battery].freeze
      BELTS = %w[belt].freeze
      private_constant :STARTER, :BATTERIES, :BELTS

      # @param key [String]
      # @return [Part]
      # @raise [UnknownKeyError]
      def self.fetch(key) = ALL.find { |part| part.key == key } || raise(UnknownKeyError, "no part #{key}")

      # @param system [ElectricalSystem]
      # @return [Array<Part>] that this unit has
      def self.of(system)
        known(system).reject(&:kept)
      end

      # What a pad that was out of reach for long may still send goes by the old names.
      #
      # @param system [ElectricalSystem]
      # @return [Array<Part>] that this unit has, by whatever name
      def self.known(system)
        without = [*(STARTER unless system.starter?), *(BATTERIES unless system.battery?), *(BELTS if system.converter?)]
        ALL.reject { |part| without.include?(part.key) }
      end
    end
  end
end
