# frozen_string_literal: true

module Wattomneum
  module Circuits
    class OwnFacts
      # Of a component: what its kind may say in one number, word or choice. Its pins, and the key states it knows, are the sheet's.
      class PartFacts
        STAYS = %w[id kind uuid face_view face_half].freeze
        TYPES = %w[number text yes_no one_of].freeze
        YES_NO = { 'yes' => true, 'no' => false }.freeze
        # Last words of fields, and the unit that they are.
        UNITS = { 'ampere' => 'A', 'volt' => 'V', 'ohm' => 'ohm', 'watt' => 'W' }.freeze
        ALONE = { 'ohm' => 'resistance', 'volt' => 'volts', 'watt' => 'power' }.freeze
        private_constant :STAYS, :TYPES, :YES_NO, :UNITS, :ALONE

        # @param sheet [Sheet]
        # @param part [Part]
        def initialize(sheet, part)
          @sheet = sheet
          @part = part
          @rules = PartKinds.fields(part.kind).except(*STAYS).select { |_, rule| TYPES.include?(rule['type']) }
        end

        # @return [String]
        def name = @part.id

        # @return [Array<Fact>]
        def facts
          @rules.map do |field, rule|
            choices = choices_of(field, rule)
            Fact.new(field: field, label: label(field), unit: unit(field), type: type(field, choices), choices: choices, sheet_says: says(field))
          end
        end

        # @param own [Hash] of this component, is changed
        # @param field [String]
        # @return [void]
        def take_back(own, field)
          own.delete(field)
          others(field).each { |name| own.delete(name) if own.key?(name) && own[name].nil? }
        end

        # @param own [Hash] of this component, is changed
        # @param field [String]
        # @param text [String]
        # @return [void]
        def say(own, field, text)
          own[field] = kept(field, text)
          others(field).each { |name| @part.fields[name].nil? ? own.delete(name) : own[name] = nil }
        end

        private

        # A load has ohms or watts: one said anew takes the other's place.
        def others(field)
          either = PartKinds::TABLE.fetch(@part.kind).fetch('one_of', [])
          either.include?(field) ? either - [field] : []
        end

        def choices_of(field, rule)
          case rule['type']
          when 'one_of' then rule['words']
          when 'yes_no' then YES_NO.keys
          else { 'zone' => @sheet.zones.keys, 'body' => @sheet.parts.grep(Parts::Body).map(&:id) }.fetch(field, [])
          end
        end

        def type(field, choices)
          return 'number' if number?(field)

          choices.any? ? 'choice' : 'text'
        end

        def label(field)
          return ALONE[field] if ALONE.key?(field)

          words = field.split('_')
          words.pop if UNITS.key?(words.last)
          words.join(' ')
        end

        def unit(field) = UNITS[field.split('_').last]

        def says(field)
          case value = @part.fields[field]
          when nil then nil
          when true, false then YES_NO.key(value)
          else number?(field) ? Quantities::Figure.trim(Notation::Number.read(value), 5) : value.to_s
          end
        end

        def number?(field) = @rules.fetch(field)['type'] == 'number'

        def kept(field, text)
          return Number.of(text, label(field)) if number?(field)
          return text unless @rules.fetch(field)['type'] == 'yes_no'

          YES_NO.fetch(text) { raise InvalidQuantityError.new("#{label(field)} is yes or no, got \"#{text}\"", field: 'value') }
        end
      end
    end
  end
end
