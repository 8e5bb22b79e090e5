# frozen_string_literal: true

module Wattomneum
  module Cranking
    module Trace
      # The rows of a trace as text, one after the other: nothing of it is kept. Commas, semicolons or tabs between the columns, decimal points
      # or decimal commas; lines that begin with # are skipped.
      class Rows
        LONGEST_LINE = 400
        FIGURE = /\A\s*[-+]?(\d|[.,]\d)/
        private_constant :FIGURE

        # @param input [#gets] lines
        def initialize(input)
          @input = input
          @number = 0
        end

        # @return [Columns] known once the first row was read
        attr_reader :columns

        # @yieldparam second [Float]
        # @yieldparam volt [Float, nil]
        # @yieldparam ampere [Float, nil]
        # @raise [InvalidQuantityError] naming the line that cannot be read
        def each
          cells = head or refuse('It holds no rows')
          time, volts, amperes = @columns.places
          before = nil
          while cells
            second = figure(cells, time)
            refuse("Line #{@number}: the time does not go forward, #{second} s after #{before} s") if before && second <= before
            yield second, volts && figure(cells, volts), amperes && figure(cells, amperes)
            before = second
            cells = following
          end
        end

        private

        # Up to the first row of figures.
        def head
          cells = first_cells or return
          return (@columns = Columns.new(nil, cells.size)) && cells if cells.first.match?(FIGURE)

          @columns = Columns.new(cells, cells.size)
          cells = following or return
          @columns.units?(cells) ? following : cells
        end

        def first_cells
          line = next_line or return
          @between = [';', "\t", ','].find do |sign|
            line.include?(sign)
          end || refuse("Line #{@number}: a trace has a column of time and one of volts or amperes")
          @decimal_comma = @between != ','
          split(line)
        end

        def following = next_line&.then { |line| split(line) }

        def next_line
          loop do
            line = @input.gets("\n", LONGEST_LINE) or return
            @number += 1
            Effort.spend!(LOOK_EVERY) if (@number % LOOK_EVERY).zero?
            line = line.encode(Encoding::UTF_8, Encoding::UTF_8, invalid: :replace).delete_prefix("\uFEFF") if @number == 1
            return line unless passed_over?(line)
          end
        rescue ArgumentError
          refuse("Line #{@number} is no text")
        end

        def passed_over?(line)
          if line.bytesize >= LONGEST_LINE && !line.end_with?("\n")
            refuse("Line #{@number} is longer than #{LONGEST_LINE} characters: is this a trace?")
          end

          line.start_with?('#') || (line.bytesize < SHORTEST_ROW && line.strip.empty?)
        end
        SHORTEST_ROW = 3
        LOOK_EVERY = 4096
        private_constant :SHORTEST_ROW, :LOOK_EVERY

        # What stands behind the last figure, a line's end, is no hindrance to it.
        def split(line) = line.split(@between, -1)

        def figure(cells, (index, factor))
          text = cells[index]
          text = text.tr(',', '.') if @decimal_comma && text
          Float(text) * factor
        rescue ArgumentError, TypeError
          refuse("Line #{@number}: #{text.to_s.strip[0, 20].inspect} is no figure")
        end

        def refuse(sentence)
          raise InvalidQuantityError.new(sentence, field: 'trace')
        end
      end
    end
  end
end
