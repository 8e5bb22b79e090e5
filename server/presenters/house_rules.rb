# frozen_string_literal: true

module Server
  module Presenters
    # Limits with their sources, and the schools with what the fleet chose.
    module HouseRules
      # @param choices [Wattomneum::Schools::Choices]
      def self.call(choices)
        { limits: Wattomneum::Limits::Table.shipped.to_a.map { |limit| Limit.call(limit) },
          schools: Wattomneum::Schools::Choices::QUESTIONS.values.map { |row| school(row, choices) } }
      end

      def self.school(row, choices)
        { key: row['key'], question: row['question'], used_by: row['used_by'], default: row['default'],
          chosen: choices.fetch(row['key']), answers: row['answers'] }
      end
      private_class_method :school
    end
  end
end
