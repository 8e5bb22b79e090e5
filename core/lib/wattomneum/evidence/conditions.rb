# frozen_string_literal: true

module Wattomneum
  # What a reading is worth: conditions, preconditions, weights, verdicts.
  module Evidence
    # What was said about a reading when it was taken. Not said is its own answer, never taken as yes.
    class Conditions
      DEFINITIONS = DataFile.load('conditions').to_h { |row| [row['key'], row] }.freeze

      # @param said [Hash{String, Symbol => String, Numeric}] "yes" or "no" for yes/no conditions, a number or one of its words for the others
      # @raise [UnknownKeyError] for a condition that is not in core/data/conditions.yml
      # @raise [InvalidQuantityError] for an answer that this condition cannot have
      def initialize(said)
        @said = said.to_h { |key, answer| [key.to_s, checked(key.to_s, answer)] }.compact.freeze
        freeze
      end

      # @param key [String]
      # @return [Symbol] :yes, :no or :not_said
      def said(key)
        answer = @said[key]
        return :not_said if answer.nil?

        %w[yes no].include?(answer) ? answer.to_sym : :yes
      end

      # @param key [String]
      # @return [Float, nil] in the unit of the condition; nil when not said
      def number(key) = @said[key]

      # @param key [String]
      # @return [String, nil] one of the condition's words; nil when not said
      def word(key) = @said[key]

      # @return [Hash{String => String, Float}] what was said, without what was not
      def to_h = @said

      private

      def checked(key, answer)
        row = DEFINITIONS.fetch(key) { raise UnknownKeyError, "no condition #{key}" }
        return if answer.nil? || answer == 'not_said'

        case row['kind']
        when 'number' then checked_number(row, answer)
        when 'word' then checked_choice(row, answer)
        else checked_word(row, answer)
        end
      end

      # "8", "8,5", "8 °C"; another unit than the condition's is none of its numbers.
      def typed_number(row, text)
        number, unit = Quantities::Typed.split(text)
        number && (unit.nil? || unit == row['unit']) ? Quantities::Entry.number(number) : nil
      end

      def checked_choice(row, answer)
        return answer if row['words'].include?(answer)

        raise InvalidQuantityError.new("#{row['label']} is #{row['words'].join(', ')} or not said, got #{answer.inspect}", field: row['key'])
      end

      def checked_word(row, answer)
        return answer if %w[yes no].include?(answer)

        raise InvalidQuantityError.new("#{row['label']} is yes, no or not said, got #{answer.inspect}",
                                       field: row['key'])
      end

      def checked_number(row, answer)
        number = answer.is_a?(String) ? typed_number(row, answer) : answer
        return number.to_f if number.is_a?(Numeric) && number.to_f.finite? && number.between?(row['least'], row['most'])

        raise InvalidQuantityError.new("#{row['label']} must be #{row['least']} to #{row['most']} #{row['unit']}, " \
                                       "got #{answer}", field: row['key'])
      end
    end
  end
end
