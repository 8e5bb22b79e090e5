# frozen_string_literal: true

module Server
  module Presenters
    # Limits with their sources and what the fleet set, and the schools with what it chose.
    module HouseRules
      # @param rules [Queries::FleetRules]
      def self.call(rules)
        { limits: rules.limits.to_a.map { |limit| limit_row(limit, rules.settings[limit.row_id]) },
          subjects: Wattomneum::Limits::Subjects::OF.values,
          judging: rules.judging.map { |row| row.values.slice(:why, :done, :total) },
          schools: Wattomneum::Schools::Choices::QUESTIONS.values.map { |row| school(row, rules.schools) } }
      end

      def self.limit_row(limit, setting)
        { **Limit.call(limit), subject: limit.subject, fixed: limit.fixed == true, shipped_value: limit.shipped_value,
          reason: setting&.fetch(:reason), person: setting&.fetch(:person) }
      end

      def self.school(row, choices)
        { key: row['key'], question: row['question'], used_by: row['used_by'], default: row['default'],
          chosen: choices.fetch(row['key']), answers: row['answers'] }
      end
      private_class_method :school, :limit_row
    end
  end
end
