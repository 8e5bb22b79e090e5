# frozen_string_literal: true

require 'date'

module Wattomneum
  module Batteries
    # Month and year a battery was made, from the code stamped on it.
    module DateCode
      MONTH_LETTERS = %w[A B C D E F G H J K L M].freeze

      # Reads the two common stampings: month letter and year digits ("K24", I is not used; "K4" is the last year that ends
      # in 4), and plain month and year ("10/24", "10-2024", "1024").
      #
      # Source: common practice.
      #
      # @param code [String]
      # @param not_after [Date] the day it is read; a battery cannot be younger
      # @return [Date] first of the month
      # @raise [InvalidQuantityError] if the code is neither, or lies in the future
      # @example "K24" read in November 2026   # => 2024-10-01
      def self.made_on(code, not_after:)
        month, year = letter_code(code, not_after) || figure_code(code) || unreadable(code)
        made = Date.new(year, month, 1)
        if made > not_after
          raise InvalidQuantityError.new("#{code} would be #{made.strftime('%B %Y')}, which is still to come",
                                         field: 'date_code')
        end

        made
      rescue Date::Error
        unreadable(code)
      end

      def self.letter_code(code, not_after)
        match = /\A([A-HJ-M])(\d{1,2})\z/i.match(code.strip) or return
        month = MONTH_LETTERS.index(match[1].upcase) + 1
        return [month, 2000 + match[2].to_i] if match[2].size == 2

        year = not_after.year - ((not_after.year - match[2].to_i) % 10)
        [month, year]
      end
      private_class_method :letter_code

      def self.figure_code(code)
        match = %r{\A(\d{1,2})[/.-]?(\d{2}|\d{4})\z}.match(code.strip) or return
        year = match[2].to_i
        [match[1].to_i, year < 100 ? 2000 + year : year]
      end
      private_class_method :figure_code

      def self.unreadable(code)
        raise InvalidQuantityError.new("\"#{code}\" is no date code: write month letter and year (K24) or 10/24",
                                       field: 'date_code')
      end
      private_class_method :unreadable
    end
  end
end
