# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The kinds of components there are, their classes and the fields each may have, from core/data/part_kinds.yml.
    module PartKinds
      TABLE = DataFile.load('part_kinds').freeze
      # Fields that every component may have.
      COMMON = TABLE.fetch('any').freeze

      # @return [Array<String>]
      def self.all = TABLE.keys - %w[any]

      # @param kind [String]
      # @return [Hash{String => Hash}] field to type, least and most
      # @raise [UnknownKeyError]
      def self.fields(kind)
        row = TABLE[kind] or raise UnknownKeyError, "no kind of component #{kind}"
        COMMON.merge(row.fetch('fields', {}))
      end

      # @param fields [Hash{String => Object}] of one component
      # @return [Array<String>] fields of which it has none, though it needs one
      def self.lacking(fields)
        row = TABLE.fetch(fields.fetch('kind'))
        needed = row.fetch('one_of', [])
        excused = row.fetch('unless', {}).any? { |name, value| fields[name] == value }
        needed.empty? || excused || needed.any? { |name| !fields[name].nil? } ? [] : needed
      end

      # @param fields [Hash{String => Object}]
      # @param uuid [String]
      # @param system_volt [Integer]
      # @return [Part]
      def self.build(fields, uuid:, system_volt:)
        name = TABLE.fetch(fields.fetch('kind')).fetch('class')
        Parts.const_get(name).new(fields, uuid: uuid, system_volt: system_volt)
      end
    end
  end
end
