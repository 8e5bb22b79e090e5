# frozen_string_literal: true

require 'json'
require 'yaml'

module Wattomneum
  module Circuits
    module Drafting
      # A sheet as far as it is written: its head and its rows, read as a whole; every objection at the row that it is about; and, while there are
      # any, the sheet that is left without the rows they are about.
      class Draft
        # uuid; kind: component or wire; typed: Hash by column
        Row = Struct.new(:uuid, :kind, :typed, keyword_init: true)
        # uuid: of the row, nil for the head; message, way_out
        Objection = Struct.new(:uuid, :message, :way_out, keyword_init: true)
        HEAD = %w[sheet title system_volt reference note states zones places loops stops links].freeze
        # What of the head is written as one text.
        MORE = %w[states zones places loops stops links].freeze
        LISTS = { 'component' => 'components', 'wire' => 'wires' }.freeze
        NAMING_PINS = %w[reference places loops stops links].freeze
        # What YAML takes for the end of a line, though JSON lets it stand.
        LINE_ENDS = /[\u0085\u2028\u2029]/
        private_constant :LISTS, :NAMING_PINS, :LINE_ENDS

        # @param head [Hash{String => Object}] HEAD as a sheet has them
        # @param rows [Array<Row>] in their order
        def initialize(head, rows)
          @head = head.slice(*HEAD).compact
          @rows = rows
        end

        # @param sheet [Sheet]
        # @return [Draft] that says the same
        def self.of(sheet)
          written = Notation::LocatedYaml.new(Notation::SheetWriter.write(sheet)).content
          parts = sheet.parts.map { |part| Row.new(uuid: part.uuid, kind: 'component', typed: TypedRow.of_part(part)) }
          wires = sheet.wires.map { |wire| Row.new(uuid: wire.uuid, kind: 'wire', typed: TypedRow.of_wire(wire)) }
          new(written, parts + wires)
        end

        attr_reader :head, :rows

        # @return [Sheet, nil] nil while anything is wrong with it
        def sheet = objections.empty? ? whole.first : nil

        # @return [Array<Objection>]
        def objections = @objections ||= (unreadable + whole.last).uniq

        # @return [String] MORE as one types it, YAML
        def more
          kept = @head.slice(*MORE).reject { |_, value| value.nil? || value.empty? }
          kept.empty? ? '' : YAML.dump(kept, line_width: -1).delete_prefix("---\n")
        end

        # @param text [String]
        # @return [Array(Hash, Array<String>)] MORE as read, and what cannot be
        def self.read_more(text)
          read = Notation::LocatedYaml.new(text)
          return [{}, read.problems.map(&:to_s)] if read.problems.any?

          content = read.content || {}
          return [{}, ["write #{MORE.join(', ')} by their names"]] unless content.is_a?(Hash) && (content.keys - MORE).empty?

          [content, []]
        end

        # @return [Array<String>] where a wire can end, by the components that can be read: "K1:30", "G2"
        def ends
          rows = @rows.select { |row| row.kind == 'component' }
          document = Notation::LocatedYaml.new(['components:', *rows.map { |row| "  - #{one_line(fields.fetch(row.uuid).first)}" }].join("\n"))
          return [] if rows.empty? || document.problems.any?

          states = @head['states'].is_a?(Hash) ? @head['states'] : Sheet::STATES
          parts, = Notation::PartReader.new(document, system_volt: @head['system_volt'].to_i, states: states, zones: {}, key: '', earlier: nil).read
          parts.flat_map { |part| part.pins.map { |pin| Sheet.short(part.node(pin)) } }
        end

        # What of it can be drawn and worked out already: without what is objected to, and without what only leads there.
        #
        # @return [Sheet, nil] nil where the head itself cannot be read
        def sound_part
          left = @rows
          sheet, problems = whole
          until sheet || (bad = problems.filter_map(&:uuid)).empty?
            left = left.reject { |row| bad.include?(row.uuid) }
            sheet, problems = read(left)
          end
          sheet || read(left, bare_head(left)).first
        end

        private

        def whole = @whole ||= read(@rows)
        def fields = @fields ||= @rows.to_h { |row| [row.uuid, TypedRow.fields(row.kind, row.typed, row.uuid)] }

        def unreadable
          @rows.filter_map do |row|
            problem = fields.fetch(row.uuid).last
            Objection.new(uuid: row.uuid, message: problem, way_out: 'Write them as "rating_ampere: 15, note: behind the panel"') if problem
          end
        end

        # Without what names a pin that may be among what is wrong: volts are counted from any pin that is left.
        def bare_head(rows)
          pin = rows.filter_map { |row| row.typed['from'] if row.kind == 'wire' }.first
          { **@head.except(*NAMING_PINS), 'reference' => pin }.compact
        end

        # One row a line, so that every objection finds its row again.
        def read(rows, head = @head)
          lines = head.map { |name, value| "#{name}: #{one_line(value)}" }
          at = {}
          LISTS.each do |kind, list|
            mine = rows.select { |row| row.kind == kind }
            lines << (mine.empty? ? "#{list}: []" : "#{list}:")
            mine.each { |row| at[(lines << "  - #{one_line(fields.fetch(row.uuid).first)}").size] = row.uuid }
          end
          result = Notation::SheetReader.read(lines.join("\n"), written_now: true)
          [result.sheet, result.problems.map { |problem| Objection.new(uuid: at[problem.line], message: problem.message, way_out: problem.way_out) }]
        end

        def one_line(value) = JSON.generate(value).gsub(LINE_ENDS) { |mark| format('\\u%04x', mark.ord) }
      end
    end
  end
end
