# frozen_string_literal: true

module Wattomneum
  module Units
    # The words of a kind of unit, from core/data/vocabularies.yml: on a positive ground the posts are the live and the grounded one and the
    # leads of the meter change places, where a cable leads back there is no case to read against, a converter is no alternator.
    class Vocabulary
      ROWS = DataFile.load('vocabularies').freeze
      private_constant :ROWS

      # @param system [ElectricalSystem]
      def initialize(system)
        @words = ROWS.select { |row| system.public_send(row['unit']) }.map { |row| row['words'] }.reduce({}, :merge).transform_keys(&:downcase)
        longest_first = @words.keys.sort_by { |word| -word.size }.map { |word| Regexp.escape(word) }
        @pattern = /(?<!\w)(?:#{longest_first.join('|')})(?!\w)/i
        freeze
      end

      # @return [Boolean] whether it calls everything as others do
      def usual? = @words.empty?

      # @param text [String]
      # @return [String]
      def call(text)
        usual? ? text : text.gsub(@pattern) { |word| as_written(word, @words.fetch(word.downcase)) }
      end

      private

      def as_written(word, instead) = word.match?(/\A[A-Z]/) ? instead.sub(/\A[a-z]/, &:upcase) : instead
    end
  end
end
