# frozen_string_literal: true

require 'csv'

module Server
  module Presenters
    # Readings as CSV: values in base units, conditions as said, fate of each row. Opens in any table program.
    class ReadingsCsv
      HEADERS = %w[reading_id taken_at job test measured_by position battery_tag from to value unit overload observation cells entered state
                   conditions instrument person verdict validity weight superseded_by withdrawn_because correction_reason].freeze

      # Text that a table program would run as a formula gets a quote in front.
      #
      # @param cell [Object]
      # @return [Object]
      def self.harmless(cell)
        cell.is_a?(String) && cell.match?(/\A[=+\-@\t\r]/) && !cell.match?(/\A[+-]?[\d.,]+/) ? "'#{cell}" : cell
      end

      # @param rows [#each] of Queries::ReadingHistory
      def initialize(rows)
        @rows = rows
      end

      # @yieldparam line [String] the heading first, then a reading each, as they come
      def each
        yield CSV.generate_line(HEADERS)
        @rows.each { |row| yield CSV.generate_line(line(row).map { |cell| self.class.harmless(cell) }) }
      end

      private

      def line(row)
        [row[:id], row[:taken_at].iso8601, row[:job_number], row[:test_key], row[:measured_by], row[:position], row[:tag], row[:from_label],
         row[:to_label], row[:value], Wattomneum::Quantities::Unit.base(row[:quantity]), row[:overload], row[:observation],
         row[:cells].to_a.join(' '), [row[:value_text], row[:unit_symbol]].compact.join(' '), row[:state],
         row[:conditions].map { |key, said| "#{key}=#{said}" }.join(' '), row[:instrument], row[:person], row[:verdict],
         row[:validity], row[:weight], row[:superseded_by_id], row[:withdrawn_because], row[:correction_reason]]
      end
    end
  end
end
