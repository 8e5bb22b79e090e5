# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drafting
      # A wire list that another hand or program wrote: which of its columns is what of a wire is guessed from its headings, and said by whoever
      # brings it in.
      class ForeignList
        TABLE = DataFile.load('wire_list_columns').freeze
        # What may be told of a wire in a column of its own.
        COLUMNS = TABLE.fetch('columns').keys.freeze
        LENGTHS = TABLE.fetch('lengths').freeze
        COLOUR_CODES = TABLE.fetch('colour_codes').freeze
        # Without these a row is no wire; one without a number gets one.
        NEEDED = %w[from to].freeze
        SIZE_IN_AWG = /awg|gauge/
        COLOUR = %r{\A([a-z]{2})(?:\s*[/-]?\s*([a-z]{2}))?\z}i
        UNIT_AT_END = /\b(mm|cm|m|in|inch|inches|ft|feet)\z/
        UNITS = { 'inch' => 'in', 'inches' => 'in', 'feet' => 'ft' }.freeze
        private_constant :TABLE, :SIZE_IN_AWG, :COLOUR, :UNIT_AT_END, :UNITS

        # @param column [String] of COLUMNS
        # @return [String] what people call it
        def self.label(column) = TABLE.fetch('columns').fetch(column).fetch('label')

        # @param text [String]
        # @raise [InvalidQuantityError] for what is no table
        def initialize(text)
          @table = Notation::TableText.new(text)
          raise InvalidQuantityError.new('The first line names no columns: it needs at least two', field: 'csv') if headings.size < 2
          raise InvalidQuantityError.new('There is no row below the headings', field: 'csv') if @table.rows.empty?
        rescue CSV::MalformedCSVError => e
          raise InvalidQuantityError.new("The quotes do not close in line #{e.line_number}", field: 'csv')
        end

        # @return [Array<String>]
        def headings = @table.headings

        # @return [Integer] rows that are not empty
        def size = @table.rows.size

        # @param index [Integer] of a heading
        # @return [Array<String>] what stands first in that column
        def examples(index) = @table.rows.lazy.filter_map { |row| cell(row, index) }.uniq.first(3)

        # @return [Hash{String => Integer}] column of a wire to the index of the heading it most likely stands under
        def guess
          known = TABLE.fetch('columns')
          plain = headings.map { |heading| plain(heading) }
          found = known.filter_map { |column, row| (index = best(row.fetch('headings'), plain)) && [column, index] }.to_h
          pins_beside(found, plain)
        end

        # @param columns [Hash{String => Integer}]
        # @return [String] of LENGTHS, as the heading of the lengths says; metres where it says none
        def length_unit(columns)
          said = columns['length'] && plain(headings[columns['length']])[UNIT_AT_END, 1]
          UNITS.fetch(said, said) || 'm'
        end

        # @param columns [Hash{String => Integer}] column of a wire to index of a heading
        # @param length_unit [String] of LENGTHS
        # @return [Array<Hash{String => String}>] TypedRow's columns of wires, only what the list says
        # @raise [InvalidQuantityError] where an end is missing, or a column stands under no heading
        def typed(columns, length_unit: 'm')
          check(columns)
          in_awg = columns['size'] && plain(headings[columns['size']]).match?(SIZE_IN_AWG)
          @table.rows.map do |row|
            said = columns.to_h { |column, index| [column, cell(row, index)] }.compact
            { 'number' => said['number'], 'from' => end_of(said, 'from'), 'to' => end_of(said, 'to'), 'colour' => colour(said['colour']),
              'size' => size_of(said['size'], in_awg), 'length_m' => metres(said['length'], length_unit), 'zone' => said['zone'] }.compact
          end
        end

        private

        def cell(row, index)
          text = row.cells[index].to_s.strip
          text.empty? ? nil : text
        end

        # "Wire No." and "wire_no" are the same; what stands in brackets is a unit.
        def plain(heading) = heading.downcase.tr('²', '2').gsub(/[^a-z0-9]+/, ' ').strip

        # The whole heading first, then one that begins with it: "length mm".
        def best(headings, plain)
          whole = headings.find { |one| plain.include?(one) }
          return plain.index(whole) if whole

          plain.index { |heading| headings.any? { |one| one.size > 2 && heading.start_with?("#{one} ") } }
        end

        # "From, Pin, To, Pin": a pin belongs to the end that it stands behind.
        def pins_beside(found, plain)
          NEEDED.each do |side|
            at = found[side] or next
            found["#{side}_pin"] ||= at + 1 if plain[at + 1].to_s.match?(/\A(pin|terminal|cavity|way)\b/) && !found.value?(at + 1)
          end
          found
        end

        def check(columns)
          missing = NEEDED.find { |side| columns[side].nil? }
          raise InvalidQuantityError.new("Say which column is where a wire goes #{missing}", field: missing) if missing

          odd = columns.find { |column, index| !COLUMNS.include?(column) || !index.between?(0, headings.size - 1) }
          raise InvalidQuantityError.new("There is no such column for #{odd.first}", field: odd.first) if odd

          twice = columns.keys.find { |column| columns.values.count(columns[column]) > 1 }
          raise InvalidQuantityError.new("\"#{headings[columns[twice]]}\" cannot be two things at once", field: twice) if twice
        end

        def end_of(said, side) = said[side] && [said[side], said["#{side}_pin"]].compact.join(':')

        # "RD/WH", "RDWH" and "RD-WH" are red/white; what is no code stays as it is.
        def colour(text)
          codes = COLOUR.match(text.to_s)&.captures&.compact or return text
          words = codes.map { |code| COLOUR_CODES[code.upcase] }
          words.include?(nil) ? text : words.join('/')
        end

        def size_of(text, in_awg) = text && in_awg && text.match?(%r{\A\d+(/0)?\z}) ? "#{text} AWG" : text

        # What is no number is objected to in its row.
        def metres(text, unit)
          number = text && Notation::Number.read(text)
          number ? Quantities::Figure.trim(number * LENGTHS.fetch(unit), 4) : text
        end
      end
    end
  end
end
