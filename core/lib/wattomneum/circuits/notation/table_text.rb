# frozen_string_literal: true

require 'csv'

module Wattomneum
  module Circuits
    module Notation
      # A table as table programs write it: comma, semicolon or tab, quotes, Windows encoding or UTF-16, a line "sep=;".
      class TableText
        # A first line that table programs write to say which mark parts the cells: "sep=;".
        SEPARATOR_LINE = /\Asep=(.)\r?\n/i
        MARKS = { "\xFF\xFE".b => Encoding::UTF_16LE, "\xFE\xFF".b => Encoding::UTF_16BE }.freeze
        private_constant :SEPARATOR_LINE, :MARKS
        # cells: Array of String or nil; line: where the row stands in the text
        Row = Struct.new(:cells, :line, keyword_init: true)

        # @return [Array<String>] cells of the first line
        attr_reader :headings
        # @return [Array<Row>] that are not empty
        attr_reader :rows

        # @param text [String] in UTF-8, UTF-16 or Windows-1252
        # @raise [CSV::MalformedCSVError] where the quotes do not close
        def initialize(text)
          readable, separator, line = parted(to_utf8(text))
          table = CSV.parse(readable, col_sep: separator)
          @headings = (table.shift || []).map { |name| name.to_s.strip }
          @rows = table.each_with_index.map { |cells, index| Row.new(cells: cells, line: index + line + 1) }
                       .reject { |row| row.cells.compact.all? { |cell| cell.strip.empty? } }
        end

        private

        # The text, the mark that parts its cells, and the line its header stands in.
        def parted(text)
          said = text[SEPARATOR_LINE, 1]
          return [text.sub(SEPARATOR_LINE, ''), said, 2] if said

          [text, %W[; \t ,].max_by { |mark| text.lines.first.to_s.count(mark) }, 1]
        end

        def to_utf8(text)
          wide = MARKS[text.byteslice(0, 2).b]
          return text.byteslice(2..).force_encoding(wide).encode(Encoding::UTF_8, undef: :replace, invalid: :replace) if wide

          utf8 = text.dup.force_encoding(Encoding::UTF_8)
          utf8 = from_windows(text) unless utf8.valid_encoding?
          utf8.delete_prefix("\uFEFF")
        end

        def from_windows(text)
          text.dup.force_encoding(Encoding::WINDOWS_1252).encode(Encoding::UTF_8, undef: :replace, invalid: :replace)
        end
      end
    end
  end
end
