# frozen_string_literal: true

module Server
  module Contracts
    # Keys that a contract does not know, wherever they stand: refused, so that a field misspelt is not a field left out.
    module UnknownKeys
      WORDS = 'is not known here'

      # @param key_map [Dry::Schema::KeyMap]
      # @param given [Hash]
      # @return [Hash{String => Array<String>}] sentences by the field they stand in
      def self.in(key_map, given)
        known = key_map.to_h { |key| [key.name.to_s, key] }
        given.each_with_object({}) do |(name, value), found|
          key = known[name]
          sentences = key ? inside(key, value) : [WORDS]
          found[name] = sentences if sentences.any?
        end
      end

      def self.inside(key, value)
        case key
        when Dry::Schema::Key::Hash then value.is_a?(::Hash) ? named(key.members, value) : []
        when Dry::Schema::Key::Array then in_each(key.member, value)
        else []
        end
      end

      def self.in_each(members, value)
        return [] unless members.is_a?(Dry::Schema::KeyMap) && value.is_a?(::Array)

        value.grep(::Hash).flat_map { |one| named(members, one) }.uniq
      end

      def self.named(members, value) = self.in(members, value).flat_map { |name, sentences| sentences.map { |text| "\"#{name}\" #{text}" } }
      private_class_method :inside, :in_each, :named
    end
  end
end
