# frozen_string_literal: true

require 'digest'

module Wattomneum
  module Circuits
    # One circuit as data: components with pins, wires, key states, links to other sheets. Frozen; a change is another sheet.
    class Sheet
      # A pin that goes on elsewhere: from: node here, sheet: key of the other, at: node there, note: "line 5".
      Link = Struct.new(:from, :sheet, :at, :note, keyword_init: true)
      # The same component drawn a second time with other words or another size.
      Redrawn = Struct.new(:id, :label, :ways, keyword_init: true)
      # A wire end that names a pin without its connector: wire, end (:from or :to), as drawn, pins it may mean.
      LooseEnd = Struct.new(:wire_uuid, :side, :drawn, :candidates, keyword_init: true)

      STATES = { 'off' => 'Isolator open', 'isolator_on' => 'Isolator on', 'key_on' => 'Key on', 'cranking' => 'Cranking',
                 'running' => 'Running' }.freeze
      # What a zone does to what lies in it.
      EXPOSURES = %w[wet hot chafe rodents vibration].freeze
      # The loop that a unit's sheet draws: key: start or charge, load: id of its load, state: in which it works.
      Loop = Struct.new(:key, :load, :state, keyword_init: true)
      # A way to stop the engine. device: id of what decides; runs: held (the engine runs while it works) or released (while it does not);
      # running: key state in which the engine runs; asked_in: key states in which it is to stop; pressed: ids of buttons that stop it by
      # opening; stud: id of the joint on which every branch that grounds a magneto hangs; hose: what else it needs, and hose_lost: stops or
      # runs_on.
      Stop = Struct.new(:device, :label, :runs, :running, :asked_in, :pressed, :stud, :hose, :hose_lost, keyword_init: true)
      FIELDS = %i[key title system_volt states reference zones parts wires links redrawn loose_ends places loops stops note].freeze
      attr_reader(*FIELDS)

      # @param key [String]
      # @param title [String]
      # @param system_volt [Integer] 12 or 24
      # @param reference [String] node that volts are counted from, usually "BAT:-"
      # @param parts [Array<Part>]
      # @param wires [Array<Wire>]
      # @param states [Hash{String => String}] key states in the order they are gone through, with their labels
      # @param zones [Hash{String => Hash}] key to label and exposure
      # @param links [Array<Link>]
      # @param redrawn [Array<Redrawn>]
      # @param loose_ends [Array<LooseEnd>]
      # @param places [Hash{String => String}] key of a named place to the node it is
      # @param loops [Array<Loop>]
      # @param stops [Array<Stop>]
      # @param note [String, nil]
      def initialize(key:, title:, system_volt:, reference:, parts:, wires:, states: STATES, zones: {}, links: [], redrawn: [],
                     loose_ends: [], places: {}, loops: [], stops: [], note: nil)
        @key = key
        @title = title
        @system_volt = system_volt
        @reference = reference
        @parts = parts
        @wires = wires
        @states = states
        @zones = zones
        @links = links
        @redrawn = redrawn
        @loose_ends = loose_ends
        @places = places
        @loops = loops
        @stops = stops
        @note = note
        @part_by_id = parts.to_h { |part| [part.id, part] }
        @wire_by_number = wires.reverse.to_h { |wire| [wire.number, wire] }
        freeze
      end

      # @param id [String]
      # @return [Part, nil]
      def part(id) = @part_by_id[id]

      # A pin by whatever name it goes: its own, an alias, run together ("A1:B87"), or a body or joint by its name alone.
      #
      # @param drawn [String]
      # @return [String] node
      # @raise [UnknownKeyError] if there is no such pin
      def node_of(drawn)
        Sheet.node_of(drawn) { |id| part(id) } || raise(UnknownKeyError, "sheet #{key} has no pin #{drawn}")
      end

      # @param drawn [String]
      # @yieldparam id [String]
      # @yieldreturn [Part, nil]
      # @return [String, nil] node
      def self.node_of(drawn)
        id, pin = drawn.to_s.split(':', 2)
        part = yield id.to_s
        name = pin.nil? && part&.joins? ? part.pins.first : part&.pin(pin.to_s)
        name && part.node(name)
      end

      # A joint and bare metal go by their names alone.
      #
      # @param node [String] "G2:joint"
      # @return [String] "G2"
      def self.short(node) = node.delete_suffix(":#{Parts::Joint::MIDDLE}").delete_suffix(":#{Parts::Body::METAL}")

      # @param number [String]
      # @return [Wire, nil]
      def wire(number) = @wire_by_number[number]

      # @return [String, nil] node of the post that feeds everything; nil where no battery stands on the sheet
      def positive_post = places['positive_post'] || parts.grep(Parts::Battery).last&.node('+')

      # @return [String] node of the post that a unit's readings are held against; where the sheet names none, what its volts are counted from
      def negative_post = places['negative_post'] || reference

      # @return [Circuit] compiled for solving
      def circuit = Circuit.new(self)

      # A unit's own lengths, sizes, colours, ratings and ends, by the UUID of the wire or component; nil for what it has not.
      #
      # @param overrides [Hash{String => Hash{String => Object}}]
      # @return [Sheet]
      # @raise [UnknownKeyError] if no item has that UUID
      # @raise [InvalidQuantityError] if an override names a field that cannot be overridden
      def with_overrides(overrides)
        return self if overrides.empty?

        missing = overrides.keys - wires.map(&:uuid) - parts.map(&:uuid)
        raise UnknownKeyError, "sheet #{key} has no item #{missing.first}" if missing.any?

        changed = { parts: parts.map { |part| override_part(part, overrides[part.uuid]) },
                    wires: wires.map { |wire| override_wire(wire, overrides[wire.uuid]) },
                    loose_ends: loose_ends.reject { |loose| settled?(loose, overrides) } }
        Sheet.new(**FIELDS.to_h { |name| [name, public_send(name)] }, **changed)
      end

      # The same drawing with other things in the place of some of its components.
      #
      # @param replaced [Hash{String => Hash}] id to fields
      # @return [Sheet]
      def with_parts(replaced)
        return self if replaced.empty?

        others = parts.map do |part|
          replaced.key?(part.id) ? PartKinds.build(replaced[part.id], uuid: part.uuid, system_volt: system_volt) : part
        end
        Sheet.new(**FIELDS.to_h { |name| [name, public_send(name)] }, parts: others)
      end

      # @param known [Hash{String => String}] key of a named place to the node it is
      # @return [Sheet] with these places
      def with_places(known) = Sheet.new(**FIELDS.to_h { |name| [name, public_send(name)] }, places: known)

      # @param more [Array<Wire>]
      # @return [Sheet] with these too
      def with_wires(more) = Sheet.new(**FIELDS.to_h { |name| [name, public_send(name)] }, wires: wires + more)

      # @param kept [Array<Wire>]
      # @return [Sheet] with no others
      def with_wires_only(kept) = Sheet.new(**FIELDS.to_h { |name| [name, public_send(name)] }, wires: kept)

      # Wire fields that a unit may override.
      WIRE_OVERRIDES = %w[from to colour section_mm2 gauge_awg length_m ohm zone].freeze

      # @param sheet_key [String]
      # @param kind [String] wire or part
      # @param name [String] number or id
      # @return [String] the same for the same words: the UUID an item has until it is given one
      def self.first_uuid(sheet_key, kind, name)
        hex = Digest::SHA1.hexdigest("wattomneum sheet #{sheet_key} #{kind} #{name}")
        variant = ((hex[16].hex & 0x3) | 0x8).to_s(16)
        "#{hex[0, 8]}-#{hex[8, 4]}-5#{hex[13, 3]}-#{variant}#{hex[17, 3]}-#{hex[20, 12]}"
      end

      private

      def override_wire(wire, changes)
        return wire if changes.nil?

        odd = changes.keys - WIRE_OVERRIDES
        raise InvalidQuantityError.new("a wire has no #{odd.first} to override", field: odd.first) if odd.any?

        wire.with(**changes.transform_keys(&:to_sym))
      end

      def override_part(part, changes)
        return part if changes.nil?

        odd = changes.keys - PartKinds.fields(part.kind).keys
        raise InvalidQuantityError.new("a #{part.kind} has no #{odd.first} to override", field: odd.first) if odd.any?

        part.class.new(part.fields.merge(changes).compact, uuid: part.uuid, system_volt: system_volt)
      end

      def settled?(loose, overrides) = overrides.dig(loose.wire_uuid, loose.side.to_s)
    end
  end
end
