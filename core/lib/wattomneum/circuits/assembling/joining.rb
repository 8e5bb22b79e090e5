# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Assembling
      # One sheet into the drawing: what it shares is found at its places, the rest is added.
      class Joining
        # Not what a part is, only how it is drawn.
        WORDS = %w[id kind uuid label zone note codes aliases body].freeze
        private_constant :WORDS

        # @param drawing [Drawing]
        # @param sheet [Sheet]
        # @param differences [Array<Assembly::Difference>] added to
        def initialize(drawing, sheet, differences)
          @drawing = drawing
          @sheet = sheet
          @differences = differences
        end

        # Bodies first: grounds name the one they stand on.
        def call
          @shared = sheet.places.filter_map { |place, node| [node, drawing.places[place]] if drawing.places[place] }.to_h
          @bank = Bank.new(drawing, sheet, @shared)
          bodies, others = sheet.parts.partition { |part| part.is_a?(Parts::Body) }
          (bodies + others).each { |part| take(part) }
          sheet.wires.each { |wire| take_wire(wire) }
          sheet.places.each { |place, node| drawing.places[place] ||= drawing.node_of(sheet, node) }
        end

        private

        attr_reader :drawing, :sheet

        def take(part)
          nodes = part.pins.map { |pin| part.node(pin) }
          shared = @shared.slice(*nodes)
          posts = part.is_a?(Parts::Battery) && @bank.posts_of(part)
          return drawing.take_for(sheet, posts) if posts

          twin = twin_of(part, shared)
          return same(part, twin, shared) if twin

          drawing.add(sheet, part)
          shared.each { |node, there| drawing.tie(drawing.node_of(sheet, node), there) }
        end

        # The one part that stands at all of its shared places, is of its kind and has its other pins.
        def twin_of(part, shared)
          ids = shared.values.map { |node| node.split(':', 2).first }.uniq
          twin = drawing.part(ids.first) if ids.one?
          twin if twin && twin.kind == part.kind && (part.pins - shared.keys.map { |node| node.split(':', 2).last }).all? { |pin| twin.pin(pin) }
        end

        def same(part, twin, shared)
          pins = part.pins.to_h { |pin| [part.node(pin), shared[part.node(pin)] || twin.node(twin.pin(pin))] }
          drawing.take_for(sheet, pins)
          drawing.same(part.uuid, twin.uuid)
          pins.each_value { |there| shared_nodes << there } if part.is_a?(Parts::Battery)
          values = (part.fields.keys | twin.fields.keys) - WORDS
          apart = values.to_h { |name| [name, [twin.fields[name], spread(name, part.fields[name])]] }.reject { |_, (one, other)| alike?(one, other) }
          differ(twin.id, [twin.uuid, part.uuid], apart) if apart.any?
        end

        def spread(name, value) = name.end_with?('_in') && value ? drawing.states.spread(sheet, value) : value

        # What is not said differs from nothing.
        def alike?(one, other)
          return true if one.nil? || other.nil? || one == other

          [one, other].all?(Numeric) && [one, other].all?(&:positive?) && [one, other].max <= Assembly::ALIKE_RATIO * [one, other].min
        end

        def take_wire(wire)
          ends = [wire.from, wire.to].map { |node| drawing.node_of(sheet, node) }
          there = drawn_between(*ends) unless ends.include?(nil)
          return if ends.first && ends.uniq.one? # a link of a bank that is drawn already

          return compare(there, wire) if there

          taken = wire.with(from: ends.first || loose(wire, wire.from), to: ends.last || loose(wire, wire.to))
          drawing.add_wire(sheet, taken)
        end

        # One cable between two shared points is one cable, however often it is drawn.
        def drawn_between(one, other)
          return unless [one, other].all? { |node| shared_node?(node) }

          drawing.wires.find { |wire| [wire.from, wire.to].sort == [one, other].sort }
        end

        def shared_node?(node) = shared_nodes.include?(node)
        def shared_nodes = @shared_nodes ||= @shared.values.to_set

        def compare(there, wire)
          drawing.same(wire.uuid, there.uuid)
          one, other = [there, wire].map(&:resistance_ohm)
          differ("wire #{there.number}", [there.uuid, wire.uuid], { 'ohm' => [one, other] }) unless alike?(one, other)
        end

        # What is usual was guessed, and contradicts nobody.
        def differ(what, uuids, said)
          return if UsualSheets.made?(sheet)

          @differences << Assembly::Difference.new(what: what, uuids: uuids, sheets: [sheet.key], said: said)
        end

        # An end that hangs until somebody rules hangs here too.
        def loose(wire, node)
          name = "#{node}@#{sheet.key}"
          end_of = sheet.loose_ends.find { |one| one.wire_uuid == wire.uuid && "loose:#{wire.number} #{one.side}" == node }
          drawing.loose_ends << end_of if end_of
          name
        end
      end
    end
  end
end
