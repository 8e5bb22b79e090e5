# frozen_string_literal: true

module Server
  module Presenters
    # The calculators and their answers.
    module Sums
      # @return [Hash] all sums with their inputs, formula and source
      def self.list = { sums: Wattomneum::Sums::Catalogue::ALL.map { |sheet| row(sheet) } }

      # @param sheet [Wattomneum::Sums::Sheet]
      # @param answer [Wattomneum::Sums::Calculator::Answer]
      def self.answer(sheet, answer)
        { key: sheet.key, answer: answer.answer, lines: answer.lines, marks: answer.marks&.map { |mark| mark.to_h.except(:error) } }
      end

      def self.row(sheet)
        { key: sheet.key, group: sheet.group, title: sheet.title, formula: sheet.formula, source: sheet.source, caution: sheet.caution,
          inputs: sheet.inputs.map { |input| input_row(input) } }
      end

      def self.input_row(input)
        { key: input['key'], label: input['label'], unit: input['unit'], kind: input['kind'], default: input['default'].to_s,
          help: input['help'], words: input['kind'] == 'yes_no' ? %w[no yes] : input['words'] || [] }
      end
      private_class_method :row, :input_row
    end
  end
end
