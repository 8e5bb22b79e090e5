# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What one unit has otherwise than its sheet draws it, fact by fact, as people type it: a length, a size, a colour, a rating, the place of a fuse.
    class OwnFacts
      # field; label: "rating"; unit: "A" or nil; type: number, text or choice; choices: what it may be, empty unless it is a choice;
      # sheet_says, says: as text, nil where nothing is said.
      Fact = Struct.new(:field, :label, :unit, :type, :choices, :sheet_says, :says, keyword_init: true) do
        # @return [Boolean] whether the unit has it otherwise
        def own? = says != sheet_says
      end
      # uuid; item: "wire 12" or "F11"; fact
      Own = Struct.new(:uuid, :item, :fact, keyword_init: true)

      # @param sheet [Sheet] without what the unit has otherwise
      # @param overrides [Hash{String => Hash{String => Object}}] by the UUID of the wire or component
      def initialize(sheet, overrides)
        @sheet = sheet
        @overrides = overrides
        @now = sheet.with_overrides(overrides)
      end

      # @param uuid [String] of a wire or component
      # @return [Array<Fact>] all that a unit may have otherwise about it
      # @raise [UnknownKeyError] if the sheet has no such item
      def of(uuid)
        drawn = kind_of(@sheet, uuid).facts
        present = kind_of(@now, uuid).facts
        drawn.zip(present).map { |was, now| Fact.new(**was.to_h, says: now.sheet_says) }
      end

      # @return [Array<Own>] what the unit has otherwise, components first
      def all
        uuids = [*@sheet.parts, *@sheet.wires].map(&:uuid) & @overrides.keys
        uuids.flat_map { |uuid| of(uuid).select(&:own?).map { |fact| Own.new(uuid: uuid, item: name_of(uuid), fact: fact) } }
      end

      # @param uuid [String]
      # @param field [String]
      # @return [Fact]
      # @raise [UnknownKeyError] if the sheet has no such item, or the item no such fact
      def fact(uuid, field)
        of(uuid).find { |one| one.field == field } || raise(UnknownKeyError, "#{name_of(uuid)} has no #{field} that a unit may have otherwise")
      end

      # @param uuid [String]
      # @return [String] "wire 12" or "F11"
      # @raise [UnknownKeyError]
      def name_of(uuid) = kind_of(@sheet, uuid).name

      # @param uuid [String]
      # @param field [String]
      # @param text [String, nil] as typed; nil for as the sheet says
      # @return [Hash] overrides with this one changed
      # @raise [UnknownKeyError] if there is no such item or fact
      # @raise [InvalidQuantityError] if it cannot be so
      def change(uuid, field, text)
        fact(uuid, field)
        typed = text.to_s.strip
        changed = typed.empty? ? without(uuid, field) : with(uuid, field, typed)
        Notation::OverrideCheck.call(@sheet, changed.slice(uuid))
        # Its own name of a pin, or 15.0 for 15: the same is nothing of the unit's own.
        self.class.new(@sheet, changed).fact(uuid, field).own? ? changed : without(uuid, field)
      rescue InvalidQuantityError => e
        raise InvalidQuantityError, e.message # whatever it is kept as, what was typed is wrong
      end

      # The field of a fact that an override belongs to, whatever it is kept as.
      #
      # @param name [String] "section_mm2"
      # @return [String] "size"
      def self.field_of(name) = WireFacts::KEPT_AS.fetch('size').include?(name) ? 'size' : name

      private

      def with(uuid, field, typed) = changed(uuid) { |own| kind_of(@sheet, uuid).say(own, field, typed) }
      def without(uuid, field) = changed(uuid) { |own| kind_of(@sheet, uuid).take_back(own, field) }

      def changed(uuid)
        own = @overrides.fetch(uuid, {}).dup
        yield own
        own.empty? ? @overrides.except(uuid) : @overrides.merge(uuid => own)
      end

      def kind_of(sheet, uuid)
        wire = sheet.wires.find { |one| one.uuid == uuid }
        return WireFacts.new(sheet, wire) if wire

        part = sheet.parts.find { |one| one.uuid == uuid } || raise(UnknownKeyError, "sheet #{sheet.key} has no item #{uuid}")
        PartFacts.new(sheet, part)
      end
    end
  end
end
