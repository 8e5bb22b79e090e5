# frozen_string_literal: true

module Server
  module Presenters
    # What a job is about, in words.
    module Symptom
      # @param row [Models::JobSymptom]
      # @param assessment [Wattomneum::Faults::Assessment]
      def self.call(row, assessment)
        order = Wattomneum::Faults::OrdersOfWork.fetch(row.work)
        { work: row.work, along_paths: order.along_paths?, part: assessment.symptom.part, label: row.label, situation: row.situation,
          seen: row.seen, words: words(row, order, assessment) }
      end

      def self.words(row, order, assessment)
        way = order.said(row.seen)
        order.along_paths? ? "#{row.label} #{way.choice}: #{state(row, assessment)}" : way.words
      end

      def self.state(row, assessment)
        known = assessment.machine ? Wattomneum::Circuits::Situation.of(assessment.machine.sheet) : Wattomneum::Circuits::Situations::ALL
        known.find { |one| one.key == row.situation }&.label || row.situation
      end
      private_class_method :state, :words
    end
  end
end
