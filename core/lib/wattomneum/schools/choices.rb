# frozen_string_literal: true

module Wattomneum
  # Questions on which good people differ, and what a fleet has chosen.
  module Schools
    # One answer for every question: what the fleet chose, else the default. Verdicts say which was used.
    class Choices
      QUESTIONS = DataFile.load('schools').to_h { |row| [row['key'], row] }.freeze

      # @return [Choices] the defaults
      def self.shipped = SHIPPED

      # @param chosen [Hash{String => String}] question to answer, where a fleet has chosen
      # @raise [UnknownKeyError] for a question or an answer that does not exist
      def initialize(chosen = {})
        chosen.each { |question, answer| self.class.answer(question, answer) }
        @chosen = chosen.dup.freeze
        freeze
      end

      # @param question [String]
      # @return [String] key of the answer in force
      # @raise [UnknownKeyError]
      def fetch(question) = @chosen.fetch(question) { self.class.question(question).fetch('default') }

      # @param question [String]
      # @return [String] the answer in force with its reason, for the why lines
      def words(question)
        answer = self.class.answer(question, fetch(question))
        "#{answer['label']}: #{answer['reason']}"
      end

      # @param key [String]
      # @return [Hash{String => Object}] the row of core/data/schools.yml
      # @raise [UnknownKeyError]
      def self.question(key) = QUESTIONS.fetch(key) { raise UnknownKeyError, "no school question #{key}" }

      # @param question [String]
      # @param key [String]
      # @return [Hash{String => String}] key, label and reason
      # @raise [UnknownKeyError]
      def self.answer(question, key)
        question(question).fetch('answers').find { |one| one['key'] == key } ||
          raise(UnknownKeyError, "#{question} has no answer #{key}")
      end

      SHIPPED = new
      private_constant :SHIPPED
    end
  end
end
