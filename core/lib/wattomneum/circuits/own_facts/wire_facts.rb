# frozen_string_literal: true

module Wattomneum
  module Circuits
    class OwnFacts
      # Of a wire: its ends, colour, size, length, ohms and where it runs.
      class WireFacts
        LABELS = { 'from' => 'from', 'to' => 'to', 'colour' => 'colour', 'size' => 'size', 'length_m' => 'length', 'ohm' => 'resistance',
                   'zone' => 'zone' }.freeze
        UNITS = { 'length_m' => 'm', 'ohm' => 'ohm' }.freeze
        # What is kept under other names than it is typed.
        KEPT_AS = { 'size' => %w[section_mm2 gauge_awg].freeze }.freeze
        # Said anew, they make ohms that the sheet gives untrue.
        MAKE_OHMS = %w[section_mm2 gauge_awg length_m].freeze
        private_constant :LABELS, :UNITS, :MAKE_OHMS

        # @param sheet [Sheet]
        # @param wire [Wire]
        def initialize(sheet, wire)
          @sheet = sheet
          @wire = wire
        end

        # @return [String]
        def name = "wire #{@wire.number}"

        # @return [Array<Fact>]
        def facts
          LABELS.map do |field, label|
            choices = field == 'zone' ? @sheet.zones.keys : []
            Fact.new(field: field, label: label, unit: UNITS[field], type: type(field, choices), choices: choices, sheet_says: says(field))
          end
        end

        # @param own [Hash] of this wire, is changed
        # @param field [String]
        # @return [void]
        def take_back(own, field)
          KEPT_AS.fetch(field, [field]).each { |name| own.delete(name) }
          own.delete('ohm') if own.key?('ohm') && own['ohm'].nil? && !own.keys.intersect?(MAKE_OHMS)
        end

        # @param own [Hash] of this wire, is changed
        # @param field [String]
        # @param text [String]
        # @return [void]
        def say(own, field, text)
          own.merge!(kept(field, text))
          own['ohm'] ||= nil if @wire.ohm && own.keys.intersect?(MAKE_OHMS)
        end

        private

        def type(field, choices)
          return 'number' if UNITS.key?(field)

          choices.any? ? 'choice' : 'text'
        end

        def says(field)
          case field
          when 'size' then @wire.size
          when 'from', 'to' then end_of(@wire.public_send(field))
          else
            value = @wire.public_send(field)
            value.is_a?(Numeric) ? Quantities::Figure.trim(value, 5) : value
          end
        end

        # An end that no pin is named for hangs loose until somebody rules which it is.
        def end_of(node)
          loose = @sheet.loose_ends.find { |one| one.wire_uuid == @wire.uuid && @wire.public_send(one.side) == node }
          loose ? loose.drawn : Sheet.short(node)
        end

        def kept(field, text)
          case field
          when 'size' then size(text)
          when 'from', 'to' then { field => node(field, text) }
          when *UNITS.keys then { field => Number.of(text, LABELS.fetch(field)) }
          else { field => text }
          end
        end

        # One of the two; the other gives way.
        def size(text)
          typed = Drafting::TypedRow.size_of(text)
          mm2 = Notation::Number.read(typed['mm2'])
          raise InvalidQuantityError, "\"#{text}\" is no size of a wire: write 2.5 mm2 or 10 AWG" unless mm2 || typed['awg']

          { 'section_mm2' => mm2, 'gauge_awg' => typed['awg'] }
        end

        def node(field, text)
          @sheet.node_of(text)
        rescue UnknownKeyError => e
          raise InvalidQuantityError.new("#{name} cannot go #{field} #{text}: #{e.message}", field: 'value')
        end
      end
    end
  end
end
