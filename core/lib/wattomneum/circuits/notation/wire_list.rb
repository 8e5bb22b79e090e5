# frozen_string_literal: true

require 'csv'

module Wattomneum
  module Circuits
    module Notation
      # The wire list of a sheet as a table: read from what table programs write (comma or semicolon, decimal comma, Windows
      # encoding or UTF-16, a line "sep=;"), and written so that reading it again gives the same wires.
      class WireList
        HEADERS = %w[number from to colour mm2 awg length_m ohm zone twisted_with shielded uuid].freeze
        NUMBERS = %w[mm2 length_m ohm].freeze
        # What a cell beyond the last column goes by.
        SURPLUS = 'surplus'
        # A first line that table programs write to say which mark parts the cells: "sep=;".
        SEPARATOR_LINE = /\Asep=(.)\r?\n/i
        MARKS = { "\xFF\xFE".b => Encoding::UTF_16LE, "\xFE\xFF".b => Encoding::UTF_16BE }.freeze
        private_constant :SEPARATOR_LINE, :MARKS

        attr_reader :rows, :problems

        # @param text [String] in UTF-8 or Windows-1252
        # @return [WireList] with rows, or with problems
        def self.parse(text) = new.tap { |list| list.send(:parse, text) }

        # @param wires [Array<Wire>]
        # @return [String] UTF-8, commas, decimal points
        def self.write(wires)
          CSV.generate do |csv|
            csv << HEADERS
            wires.each do |wire|
              csv << [wire.number, short(wire.from), short(wire.to), wire.colour, plain(wire.section_mm2), wire.gauge_awg, plain(wire.length_m),
                      plain(wire.ohm), wire.zone, wire.twisted_with, wire.shielded ? 'yes' : nil, wire.uuid]
            end
          end
        end

        def self.plain(number) = number && Quantities::Figure.trim(number, 6)

        # The middle of a joint and the metal of a body go by the component's name alone.
        def self.short(node) = node.delete_suffix(":#{Parts::Joint::MIDDLE}").delete_suffix(":#{Parts::Body::METAL}")
        private_class_method :plain, :short

        private

        # Only parse makes one.
        def initialize
          @rows = []
          @problems = []
        end

        def parse(text)
          return wrong(1, 1, 'larger than 2 MB', 'Split it into sheets') if text.bytesize > Budgets[:sheet_bytes]

          readable, separator, line = parted(to_utf8(text))
          table = CSV.parse(readable, col_sep: separator)
          header = (table.shift || []).map { |name| name.to_s.strip.downcase }
          return unless header?(header)

          table.each_with_index { |cells, index| row(header, cells, index + line + 1) }
        rescue CSV::MalformedCSVError => e
          wrong(e.line_number, 1, 'the quotes do not close', 'Look at the quotes in this line and the one before')
        end

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

        def wrong(line, column, message, way_out)
          @problems << Problem.new(line: line, column: column, message: message, way_out: way_out)
          nil
        end

        def header?(header)
          missing = %w[number from to] - header
          odd = header - HEADERS
          missing.each { |name| wrong(1, 1, "the first line has no column \"#{name}\"", "Columns are #{HEADERS.join(', ')}") }
          odd.each { |name| wrong(1, header.index(name) + 1, "column \"#{name}\" is none of a wire list", "Columns are #{HEADERS.join(', ')}") }
          @problems.empty?
        end

        def row(header, cells, line)
          return if cells.compact.all? { |cell| cell.strip.empty? }

          more = cells.drop(header.size).compact.map(&:strip).reject(&:empty?)
          fields = header.zip(cells).to_h.compact.transform_values(&:strip).reject { |_, value| value.empty? }
          NUMBERS.each { |name| fields[name] = Number.read(fields[name]) || fields[name] if fields[name] } # what is none is quoted
          fields[SURPLUS] = more.first if more.any?
          @rows << WireReader::Row.new(fields: fields, place: ->(name) { [line, (header.index(name) || (name == SURPLUS ? header.size : 0)) + 1] })
        end
      end
    end
  end
end
