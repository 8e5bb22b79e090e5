# frozen_string_literal: true

module Wattomneum
  # The calculators, each with its formula and source shown.
  module Sums
    # One calculator: what goes in and how it is written on the page.
    class Sheet
      FIELDS = %w[key group title formula source inputs].freeze
      RANGES = DataFile.load('sum_ranges').freeze
      FIELDS.each { |name| define_method(name) { @row[name] } }

      # @param row [Hash{String => Object}] of core/data/sums.yml
      def initialize(row)
        @row = row
        freeze
      end

      # @return [String, nil] what can hurt somebody who does what is computed
      def caution = @row['caution'] && Safety::Cautions.fetch_all([@row['caution']]).first.text

      # @param typed [Hash{String => String}] by input, as typed; what is missing takes its default
      # @return [Hash{Symbol => Object}] checked
      # @raise [InvalidQuantityError] naming the input that is no number, out of range, or no word of its list
      def read(typed)
        inputs.to_h { |input| [input['key'].to_sym, value(input, typed[input['key']])] }
      end

      private

      def value(input, text)
        text = input['default'].to_s if text.nil?
        text = text.strip
        return if text.empty? && input['optional']

        case input['kind']
        when 'number' then number(input, text)
        when 'list' then list(input, text)
        when 'choice' then chosen(input, text)
        when 'yes_no' then text == 'yes'
        else text
        end
      end

      MOST_IN_A_LIST = 100
      private_constant :MOST_IN_A_LIST

      def list(input, text)
        parts = text.split(/[\s;]+/)
        return parts.map { |part| number(input, part) } if parts.size <= MOST_IN_A_LIST

        raise InvalidQuantityError.new("#{input['label']}: #{parts.size} figures, at most #{MOST_IN_A_LIST}", field: input['key'])
      end

      def number(input, text)
        figure, unit = Quantities::Typed.split(text)
        number = figure && (unit.nil? || unit == input['unit']) ? Quantities::Entry.number(figure) : nil
        raise InvalidQuantityError.new("#{input['label']}: \"#{text[0, 30]}\" is not a number", field: input['key']) if number.nil?

        least, most = RANGES.fetch(input['unit'] || 'none')
        return number if number.between?(least, most)

        raise InvalidQuantityError.new("#{[input['label'], 'is', least, 'to', most, input['unit']].compact.join(' ')}, got #{text[0, 30]}",
                                       field: input['key'])
      end

      def chosen(input, text)
        return text if input['words'].include?(text)

        raise InvalidQuantityError.new("#{input['label']} is #{input['words'].join(', ')}, got #{text[0, 30]}", field: input['key'])
      end
    end
  end
end
