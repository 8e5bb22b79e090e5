# frozen_string_literal: true

require 'csv'

module Wattomneum
  module Circuits
    module Notation
      # The wire list of a sheet as a table: read from what table programs write, decimal commas too, and written so that reading it again gives
      # the same wires.
      class WireList
        HEADERS = %w[number from to colour mm2 awg length_m ohm zone twisted_with shielded uuid].freeze
        NUMBERS = %w[mm2 length_m ohm].freeze
        # What a cell beyond the last column goes by.
        SURPLUS = 'surplus'

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
              csv << [wire.number, Sheet.short(wire.from), Sheet.short(wire.to), wire.colour, plain(wire.section_mm2), wire.gauge_awg,
                      plain(wire.length_m), plain(wire.ohm), wire.zone, wire.twisted_with, wire.shielded ? 'yes' : nil, wire.uuid]
            end
          end
        end

        def self.plain(number) = number && Quantities::Figure.trim(number, 6)

        private_class_method :plain

        private

        # Only parse makes one.
        def initialize
          @rows = []
          @problems = []
        end

        def parse(text)
          return wrong(1, 1, 'larger than 2 MB', 'Split it into sheets') if text.bytesize > Budgets[:sheet_bytes]

          table = TableText.new(text)
          header = table.headings.map(&:downcase)
          return unless header?(header)

          table.rows.each { |row| row(header, row.cells, row.line) }
        rescue CSV::MalformedCSVError => e
          wrong(e.line_number, 1, 'the quotes do not close', 'Look at the quotes in this line and the one before')
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
