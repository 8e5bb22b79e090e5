# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # What is laid out: a node for each part, for each way of a plug and for each wire that ends on metal; a port for each wire end; an edge for
      # each wire, from a pin that looks down to one that looks up.
      class Graph
        # kind: of the part; metal: the sign for a wire that ends on it; link: a flag that names another sheet; way: of a plug, "3"; top: which half
        # of a plug looks up, "a" or "b"; link: Sheet::Link
        Node = Struct.new(:id, :kind, :part_id, :way, :top, :link, :ports, keyword_init: true)
        # pin: node of the sheet, "K1:30"; wire_uuid: nil where it leads to another sheet
        Port = Struct.new(:id, :pin, :wire_uuid, :side, keyword_init: true)
        # from, to: ids of ports
        Edge = Struct.new(:wire_uuid, :from, :to, :from_node, :to_node, keyword_init: true)

        SIDELESS = %w[splice stud connector].freeze
        private_constant :SIDELESS

        # @param sheet [Sheet]
        # @param parts [Array<String>, nil] ids: only these stand on the picture; a wire that leads to another one ends in a flag. All where nil
        # @param distances [Distances] of the whole sheet
        def initialize(sheet, parts: nil, distances: Distances.new(sheet))
          @sheet = sheet
          @here = parts&.to_set
          @distances = distances
          @sides = Sides.new(sheet, @distances)
          @nodes = {}
          @tops = {}
          @flat = []
          @edges = laid.map { |wire| edge(wire) }
          turn_flat_ones
          @to_sheets = sheet.links.select { |link| here?(link.from) }.each_with_index.filter_map { |link, index| edge_to_sheet(link, index) }
          freeze
        end

        attr_reader :sheet, :edges

        # @return [Array<Edge>] from pins to the flags that name other sheets, or down from them
        attr_reader :to_sheets

        # @return [Distances]
        attr_reader :distances

        # @return [Array<Node>]
        def nodes = @nodes.values

        # Straps from metal to metal: they stand in a strip of their own.
        #
        # @return [Array<Wire>]
        def straps = @sheet.wires.select { |wire| strap?(wire) && here?(wire.from) }

        # @return [Array<Part>] what no wire of this sheet ends on: listed, not drawn
        def unwired
          drawn = @sheet.wires.flat_map { |wire| [part(wire.from), part(wire.to)] }
          @sheet.parts.reject { |one| drawn.include?(one) || !here?(one.node('')) }
        end

        private

        def laid = @sheet.wires.select { |wire| !strap?(wire) && (here?(wire.from) || here?(wire.to)) }
        def here?(node) = @here.nil? || @here.include?(node.split(':', 2).first)
        def strap?(wire) = [wire.from, wire.to].all? { |node| part(node).is_a?(Parts::Body) }
        def part(node) = @sheet.part(node.split(':', 2).first)
        def far(node) = @distances.of(node)

        def edge(wire)
          ends = [[wire.from, wire.to], [wire.to, wire.from]].map { |here, there| port(wire, here, there) }
          ends.reverse! unless downward?(wire, ends)
          ends_of(wire, ends).tap { |made| @flat << made if flat?(ends) }
        end

        def ends_of(wire, ends)
          (from_node, from), (to_node, to) = ends
          Edge.new(wire_uuid: wire.uuid, from: from.id, to: to.id, from_node: from_node.id, to_node: to_node.id)
        end

        def downward?(wire, ends)
          from, to = ends.map { |_, port| port.side }
          return from == Sides::BOTTOM unless from == to

          ([far(wire.from), wire.from] <=> [far(wire.to), wire.to]).negative?
        end

        # A flag hangs on the pin on the side where its wires are.
        def edge_to_sheet(link, index)
          pin = @sheet.node_of(link.from)
          return if part(pin).is_a?(Parts::Body)

          here = node_of(nil, pin)
          side = here.ports.find { |port| port.pin == pin }&.side || (sideless?(part(pin)) ? Sides::BOTTOM : @sides.of(part(pin), pin_of(pin)))
          flag = @nodes["link #{index}"] = Node.new(id: "link #{index}", kind: 'link', link: link, ports: [])
          ends = [[here, side, pin], [flag, side == Sides::BOTTOM ? Sides::TOP : Sides::BOTTOM, nil]].map do |node, at, name|
            Port.new(id: "#{node.id}|#{name}|link #{index}", pin: name, side: at).tap { |port| node.ports << port }.then { |port| [node, port] }
          end
          (from_node, from), (to_node, to) = side == Sides::BOTTOM ? ends : ends.reverse
          Edge.new(from: from.id, to: to.id, from_node: from_node.id, to_node: to_node.id)
        end

        # Between two pins of one side of parts that have sides.
        def flat?(ends) = ends.map { |_, port| port.side }.uniq.one? && ends.none? { |node, _| SIDELESS.include?(node.kind) }

        def port(wire, here, there)
          node = node_of(wire, here)
          made = Port.new(id: "#{node.id}|#{here}|#{wire.uuid}", pin: here, wire_uuid: wire.uuid, side: side_of(here, there))
          node.ports << made
          [node, made]
        end

        def node_of(wire, pin)
          one = part(pin)
          return @nodes["away #{pin} #{wire.uuid}"] ||= Node.new(id: "away #{pin} #{wire.uuid}", kind: 'link', ports: []) unless here?(pin)

          case one
          when Parts::Connector then way_of(one, pin)
          when Parts::Body then node("#{one.id}@#{wire.uuid}", 'metal', one)
          else node(one.id, one.kind, one)
          end
        end

        def node(id, kind, one, **plug) = @nodes[id] ||= Node.new(id: id, kind: kind, part_id: one.id, ports: [], **plug)

        def way_of(plug, pin)
          way = pin.split('/', 2).last
          node("#{plug.id}/#{way}", plug.kind, plug, way: way, top: top_of(plug, pin))
        end

        def top_of(plug, pin)
          way = pin.split('/', 2).last
          @tops[[plug.id, way]] ||= top_half(plug, way)
        end

        # The half whose wires come from above: by the sides at their other ends, then by distance.
        def top_half(plug, way)
          halves = %w[a b].to_h { |half| [half, plug.node("#{half}/#{way}")] }
          pull = halves.transform_values { |node| others(node).sum { |other| pull(other) } }
          return pull.max_by(&:last).first unless pull.values.uniq.one?

          halves.min_by { |half, node| [others(node).empty? ? Distances::FAR : far(node), half] }.first
        end

        # Down from a pin that looks down, up from one that looks up; what has no side pulls nowhere.
        def pull(node)
          one = part(node)
          return 0 if sideless?(one)

          @sides.of(one, pin_of(node)) == Sides::BOTTOM ? 1 : -1
        end

        def sideless?(one) = one.is_a?(Parts::Connector) || (one.is_a?(Parts::Joint) && one.fields['body'].nil?)
        def pin_of(node) = node.split(':', 2).last

        def others(node) = @distances.ends.others(node)

        def side_of(here, there)
          one = part(here)
          return top_of(one, pin_of(here)) == pin_of(here)[0] ? Sides::TOP : Sides::BOTTOM if one.is_a?(Parts::Connector)
          return joint_side(here, there) if sideless?(one)

          @sides.of(one, pin_of(here))
        end

        # A joint looks up where the other end looks down; between joints the nearer one feeds.
        def joint_side(here, there)
          other = part(there)
          return @sides.of(other, pin_of(there)) == Sides::BOTTOM ? Sides::TOP : Sides::BOTTOM unless sideless?(other)
          return far(there) < far(here) ? Sides::TOP : Sides::BOTTOM if other.is_a?(Parts::Joint)

          top_of(other, pin_of(there)) == pin_of(there)[0] ? Sides::BOTTOM : Sides::TOP
        end

        # A wire between two pins of one side runs as the others let its ends follow each other.
        def turn_flat_ones
          return if @flat.empty?

          levels = Hash.new(0)
          steady = @edges - @flat
          @nodes.size.times do
            moved = steady.filter_map { |one| deepen(levels, one) }
            break if moved.empty?
          end
          @flat.each { |one| turn(one) if levels[one.from_node] > levels[one.to_node] }
        end

        # nil where it lies deep enough, or goes round in a circle.
        def deepen(levels, one)
          wanted = levels[one.from_node] + 1
          levels[one.to_node] = wanted if wanted > levels[one.to_node] && wanted < @nodes.size
        end

        def turn(one)
          one.from, one.to = one.to, one.from
          one.from_node, one.to_node = one.to_node, one.from_node
        end
      end
    end
  end
end
