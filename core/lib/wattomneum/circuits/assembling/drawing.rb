# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Assembling
      # The one drawing as it grows: parts and wires under names of their own, and what each sheet's names became.
      class Drawing
        # @return [Array<Part>]
        attr_reader :parts
        # @return [Array<Wire>]
        attr_reader :wires
        # @return [Hash{String => String}] place to node
        attr_reader :places
        # @return [Array<Sheet::LooseEnd>]
        attr_reader :loose_ends
        # @return [States]
        attr_reader :states

        # @param states [States]
        def initialize(states)
          @states = states
          @parts = []
          @wires = []
          @places = {}
          @loose_ends = []
          @ties = []
          @became = Hash.new { |hash, key| hash[key] = {} }
          @ids = {}
          @one_and_the_same = {}
        end

        # @param id [String]
        # @return [Part, nil]
        def part(id) = @part_by_id&.fetch(id, nil)

        # Adds a part of a sheet under a name of its own.
        #
        # @param sheet [Sheet]
        # @param part [Part]
        # @return [Part] as it stands in the drawing
        def add(sheet, part)
          id = free(part.id, sheet, @ids)
          part.pins.each { |pin| @became[sheet.key][part.node(pin)] = "#{id}:#{pin}" }
          taken = PartKinds.build(renamed(sheet, part, id), uuid: part.uuid, system_volt: sheet.system_volt)
          (@part_by_id ||= {})[id] = taken
          @parts << taken
          taken
        end

        # @return [Hash{String => String}] UUID of what a sheet draws to that of the one thing it is
        attr_reader :one_and_the_same

        # Says that a part of a sheet is one that stands in the drawing already.
        #
        # @param sheet [Sheet]
        # @param pins [Hash{String => String}] node on the sheet to node in the drawing
        def take_for(sheet, pins) = @became[sheet.key].merge!(pins)

        # Says that what a sheet draws under this UUID is what stands there under that.
        def same(uuid, there) = @one_and_the_same[uuid] = there

        # @param wire [Wire] with ends of the drawing
        # @param sheet [Sheet]
        def add_wire(sheet, wire)
          @wires << wire.with(number: free(wire.number, sheet, @numbers ||= {}))
        end

        # Two points that are one.
        def tie(one, other) = @ties << [one, other]

        # @param sheet [Sheet]
        # @param node [String] of that sheet
        # @return [String, nil] node of the drawing
        def node_of(sheet, node) = @became[sheet.key][node]

        # @param sheet [Sheet]
        # @param id [String]
        # @return [String] id in the drawing
        def part_id(sheet, id) = node_of(sheet, sheet.part(id).node(sheet.part(id).pins.first)).split(':', 2).first

        # Ties of places and of links between sheets that are both here.
        #
        # @param sheets [Array<Sheet>]
        # @return [Array<Wire>]
        def ties(sheets)
          linked = links(sheets).filter_map { |from, to, _| [from, to] if to }
          pairs = (@ties + linked).reject { |one, other| one == other }.uniq(&:sort)
          pairs.each_with_index.map do |(one, other), index|
            Wire.new(number: "join #{index + 1}", uuid: Sheet.first_uuid(Assembly::KEY, 'wire', [one, other].sort.join(' ')), from: one, to: other,
                     ohm: Assembly::TIE_OHM)
          end
        end

        # @param sheets [Array<Sheet>]
        # @return [Array<Sheet::Link>] links that lead to no sheet of this unit
        def links_left(sheets) = links(sheets).filter_map { |from, to, link| Sheet::Link.new(**link.to_h, from: from) unless to }

        private

        def links(sheets)
          by_key = sheets.to_h { |sheet| [sheet.key, sheet] }
          sheets.flat_map do |sheet|
            sheet.links.map do |link|
              target = by_key[link.sheet]
              at = target && link.at && Sheet.node_of(link.at) { |id| target.part(id) }
              [node_of(sheet, link.from), at && node_of(target, at), link]
            end
          end
        end

        # The first to have a name keeps it.
        def free(name, sheet, taken)
          free = taken.key?(name) ? "#{name}@#{sheet.key}" : name
          free += '+' while taken.key?(free)
          taken[free] = true
          free
        end

        def renamed(sheet, part, id)
          fields = part.fields.merge('id' => id).to_h { |name, value| [name, spread(sheet, name, value)] }
          body = fields['body'] or return fields

          fields.merge('body' => node_of(sheet, "#{body}:#{Parts::Body::METAL}").split(':', 2).first)
        end

        STATE_LISTS = %w[closed_in active_in works_in].freeze
        private_constant :STATE_LISTS

        # Lists of key states, those of contacts and pins too.
        def spread(sheet, name, value)
          return states.spread(sheet, value) if STATE_LISTS.include?(name) && value.is_a?(Array)
          return value unless value.is_a?(Array) && value.all?(Hash)

          value.map { |row| row.to_h { |key, inner| [key, spread(sheet, key, inner)] } }
        end
      end
    end
  end
end
