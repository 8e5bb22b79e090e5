# frozen_string_literal: true

module Wattomneum
  module Circuits
    # Points that go by what they are, from core/data/roles.yml.
    module Roles
      Role = Struct.new(:key, :label, keyword_init: true)
      ALL = DataFile.load('roles').map { |row| Role.new(**row.transform_keys(&:to_sym)).freeze }.freeze

      # @param key [String]
      # @return [Role]
      # @raise [UnknownKeyError]
      def self.fetch(key) = ALL.find { |role| role.key == key } || raise(UnknownKeyError, "no role #{key}")

      # @param node [String]
      # @param sheet [Sheet]
      # @return [Role, nil] what this node of the sheet goes by
      def self.at(node, sheet) = ALL.find { |role| sheet.places[role.key] == node }
    end
  end
end
