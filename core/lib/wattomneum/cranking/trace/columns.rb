# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # Which column of a trace is what, and in which unit: by its heading, or by its place where there is none.
      class Columns
        NAMES = { second: /time|second|\At\b/i, volt: /volt|post|\A[uv]\b/i, ampere: /current|amp|\A[ia]\b/i }.freeze
        UNITS = { second: { 's' => 1.0, 'sec' => 1.0, 'ms' => 1e-3, 'us' => 1e-6 }, volt: { 'v' => 1.0, 'mv' => 1e-3 },
                  ampere: { 'a' => 1.0, 'ma' => 1e-3, 'ka' => 1e3 } }.freeze
        IN_PLACE = %i[second volt ampere].freeze
        NEEDED = 'Name them in the first line, as in: time (s), posts (V), current (A)'
        private_constant :NEEDED

        # @param headings [Array<String>, nil] cells of the first line; nil where it holds figures already
        # @param count [Integer] columns of the file
        # @raise [InvalidQuantityError] if there is no time, or neither volts nor current
        def initialize(headings, count)
          @at = headings ? named(headings) : IN_PLACE.first(count).each_with_index.to_h { |kind, index| [kind, [index, nil]] }
          refuse('no column is called time') unless @at.key?(:second)
          refuse('no column is called posts, volts or current') if @at.size < 2
        end

        # @return [Boolean]
        def has?(kind) = @at.key?(kind)

        # @return [Boolean] whether the file says in what unit it stands
        def unit_said?(kind) = has?(kind) && !@at.fetch(kind).last.nil?

        # @param cells [Array<String>] a line of units below the headings
        # @return [Boolean] whether it was one
        def units?(cells)
          found = @at.to_h { |kind, (index, unit)| [kind, [index, unit || unit_in(kind, cells[index].to_s)]] }
          return false unless found.any? { |kind, (_, unit)| unit && @at.fetch(kind).last.nil? }

          @at = found
          true
        end

        # @return [Array<Array(Integer, Float), nil>] place and factor to the base unit of time, volts and current
        def places
          IN_PLACE.map { |kind| @at[kind]&.then { |index, unit| [index, unit || 1.0] } }
        end

        private

        def named(headings)
          NAMES.each_with_object({}) do |(kind, pattern), found|
            index = headings.index { |heading| heading.strip.match?(pattern) && !found.value?(heading) } or next
            found[kind] = [index, unit_in(kind, headings[index])]
          end
        end

        # "time (ms)", "posts_V", "current [A]", or a cell that is nothing but the unit.
        def unit_in(kind, text)
          word = text.strip[/[(\[_\s]?([a-zµ]+)[)\]]?\z/i, 1].to_s.downcase.tr('µ', 'u')
          UNITS.fetch(kind)[word]
        end

        def refuse(what)
          raise InvalidQuantityError.new("In this trace #{what}. #{NEEDED}", field: 'trace')
        end
      end
    end
  end
end
