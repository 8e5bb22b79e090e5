# frozen_string_literal: true

module Server
  module Models
    # What the fleet chose where good people differ.
    class SchoolChoice < Sequel::Model(:school_choice)
      unrestrict_primary_key

      # @return [Wattomneum::Schools::Choices]
      def self.in_force = Wattomneum::Schools::Choices.new(select_hash(:question, :answer))

      # @param question [String]
      # @param answer [String]
      # @raise [Wattomneum::UnknownKeyError] for a question or an answer that does not exist
      def self.choose(question, answer, by:)
        Wattomneum::Schools::Choices.answer(question, answer)
        return if in_force.fetch(question) == answer

        dataset.insert_conflict(target: :question, update: { answer: answer, person_id: by.id, at: Sequel::CURRENT_TIMESTAMP })
               .insert(question: question, answer: answer, person_id: by.id)
        Rejudging.order(why: "#{question.tr('_', ' ')} was chosen otherwise")
      end
    end
  end
end
