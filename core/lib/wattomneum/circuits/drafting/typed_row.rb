# frozen_string_literal: true

require 'json'

module Wattomneum
  module Circuits
    # Sheets while they are written: rows as somebody typed them, right or wrong, and what can be made of them.
    module Drafting
      # One component or wire as it stands in the table of the editor: texts in columns, whatever else it says in one column of facts,
      # "rating_ampere: 15, note: behind the panel".
      module TypedRow
        COLUMNS = { 'component' => %w[id kind label zone facts].freeze, 'wire' => %w[number from to colour size length_m zone facts].freeze }.freeze
        SIZE = /\A\s*(?<mm2>[\d.,]+)\s*(?:mm2|mm²|mm\^2)?\s*\z/i
        PLAIN_WORD = /\A[A-Za-z][\w .+-]*\z/
        SOUNDS_LIKE_TRUTH = %w[true false null yes no].freeze
        private_constant :SIZE, :PLAIN_WORD, :SOUNDS_LIKE_TRUTH

        # @param kind [String] component or wire
        # @param typed [Hash{String => String}] by column
        # @param uuid [String]
        # @return [Array(Hash{String => Object}, String), Array(Hash, nil)] fields as a sheet has them, and what of the facts cannot be read
        def self.fields(kind, typed, uuid)
          columns = COLUMNS.fetch(kind) - %w[facts size]
          given = columns.to_h { |name| [name, typed[name].to_s.strip] }
          given.delete_if { |_, text| text.empty? }
          given = given.merge(size_of(typed['size'].to_s)) if kind == 'wire'
          facts, problem = facts_of(typed['facts'].to_s)
          [{ **given, **facts.except(*given.keys), 'uuid' => uuid }, problem]
        end

        # @param part [Part]
        # @return [Hash{String => String}]
        def self.of_part(part)
          { 'id' => part.id, 'kind' => part.kind, 'label' => part.fields['label'].to_s, 'zone' => part.zone.to_s,
            'facts' => written(part.fields.except('id', 'kind', 'label', 'zone', 'uuid')) }
        end

        # @param wire [Wire]
        # @return [Hash{String => String}]
        def self.of_wire(wire)
          facts = { 'ohm' => wire.ohm, 'twisted_with' => wire.twisted_with, 'shielded' => wire.shielded ? 'yes' : nil }.compact
          length = wire.length_m && Quantities::Figure.trim(wire.length_m, 3)
          { 'number' => wire.number, 'from' => Sheet.short(wire.from), 'to' => Sheet.short(wire.to), 'colour' => wire.colour, 'size' => wire.size,
            'length_m' => length, 'zone' => wire.zone, 'facts' => written(facts) }.transform_values(&:to_s)
        end

        # What it cannot read is left to whoever reads the sheet to object to.
        #
        # @param text [String] "2.5 mm2", "2,5", "10 AWG", "AWG 10"
        # @return [Hash{String => String}] mm2 or awg
        def self.size_of(text)
          return {} if text.strip.empty?

          gauge = Wiring::Conductor.gauge_in(text)
          return { 'awg' => gauge } if gauge

          { 'mm2' => SIZE.match(text)&.then { |size| size[:mm2] } || text } # what is no size is objected to by whoever reads the sheet
        end

        # @return [Array(Hash, String), Array(Hash, nil)]
        def self.facts_of(text)
          return [{}, nil] if text.strip.empty?

          read = Notation::LocatedYaml.new("{#{text}}")
          return [read.content, nil] if read.problems.empty? && read.content.is_a?(Hash)

          [{}, "the facts cannot be read: #{read.problems.first&.message || 'write name: value, with commas between'}"]
        end

        # As one types it: without the outer braces, text in quotes only where it needs them.
        def self.written(fields)
          fields.map { |name, value| "#{name}: #{flow(value)}" }.join(', ')
        end

        # One value within braces or brackets.
        def self.flow(value)
          case value
          when Hash then "{ #{written(value)} }"
          when Array then "[#{value.map { |one| flow(one) }.join(', ')}]"
          when PLAIN_WORD then SOUNDS_LIKE_TRUTH.include?(value.downcase) ? JSON.generate(value) : value
          else JSON.generate(value)
          end
        end

        private_class_method :facts_of, :written, :flow
      end
    end
  end
end
