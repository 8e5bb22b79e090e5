# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # What the layouter is told of a sheet, as plain data: what stands on it with its words, which pins look up, which wires join them. It knows
      # nothing of circuits; all that it is to write is written here.
      class Brief
        # Cables from this section on are drawn thicker.
        THICK_MM2 = 16
        TERMINATOR_MOST_OHM = 300
        private_constant :TERMINATOR_MOST_OHM

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [Hash] see drawing/lib/types.d.ts, Brief
        def to_h
          distances = Distances.new(@sheet)
          { title: @sheet.title, wires: @sheet.wires.to_h { |wire| [wire.uuid, wire(wire)] }, bodies: bodies, zones: zones,
            pieces: Pieces.of(@sheet).map { |piece| piece(piece, Graph.new(@sheet, parts: piece.whole? ? nil : piece.parts, distances: distances)) } }
        end

        # @param part [Part]
        # @return [String] as it is written beside its sign, "F1 15 A"
        def self.title(part)
          fields = part.fields
          case part
          when Parts::Fuse then "#{part.id} #{Quantities::Figure.trim(fields['rating_ampere'].to_f, 1)} A"
          when Parts::Joint then fields['body'] ? "#{part.id} on #{fields['body']}" : part.id
          when Parts::Resistor then "#{part.id} #{resistance(fields['ohm'].to_f)}"
          else part.id
          end
        end

        # "120 ohm", "40 kohm"
        def self.resistance(ohm) = ohm < 1_000 ? "#{Quantities::Figure.trim(ohm, 2)} ohm" : "#{Quantities::Figure.trim(ohm / 1_000, 2)} kohm"
        private_class_method :resistance

        private

        def piece(piece, graph)
          travel = Travel.new(graph)
          { zone: piece.zone, label: piece.label, nodes: graph.nodes.map { |node| node(node, travel) }, edges: edges(graph),
            straps: graph.straps.map { |wire| { wire: wire.uuid, from: id_of(wire.from), to: id_of(wire.to) } },
            unwired: graph.unwired.map { |part| { id: part.id, uuid: part.uuid, title: Brief.title(part), label: words(part) } } }
        end

        def node(node, travel)
          part = node.part_id && @sheet.part(node.part_id)
          { id: node.id, kind: node.kind, part: node.part_id, uuid: part&.uuid, zone: part&.zone, way: node.way, top: node.top&.to_s,
            title: heading(node, part), label: part ? words(part) : '', sheet: node.link&.sheet, at: goes_to(node),
            terminates: terminates?(part) || nil,
            contacts: part.is_a?(Parts::Switch) ? contacts(part) : nil, ports: node.ports.map { |port| port(port, travel) } }.compact
        end

        def port(port, travel)
          { id: port.id, pin: port.pin, name: port.pin&.split(':', 2)&.last, wire: port.wire_uuid, side: port.side.to_s,
            **travel.from(port) }.compact
        end

        def heading(node, part)
          return Brief.title(part) if part
          return [node.link.sheet.tr('_', ' '), node.link.at].compact.join(', ') if node.link

          far = @sheet.part(id_of(node.ports.first.pin))
          [node.ports.first.pin.delete_suffix(':joint'), @sheet.zones.dig(far.zone, 'label') || far.zone].compact.join(', ')
        end

        # The pin where a flag leads, on another sheet or another picture of this one.
        def goes_to(node)
          return node.link.at if node.link

          node.ports.first.pin if node.kind == 'link'
        end

        # A resistance that stands at the end of a data line: of two in parallel 60 ohm are read.
        def terminates?(part) = part.is_a?(Parts::Resistor) && part.fields['ohm'].to_f.between?(40, TERMINATOR_MOST_OHM)

        # What it is called beside its id; a body's name is its id.
        def words(part) = part.label == part.id || part.is_a?(Parts::Body) ? '' : part.label

        def contacts(part) = part.branches.map { |branch| [branch.from, branch.to].map { |node| node.split(':', 2).last } }

        def edges(graph)
          (graph.edges + graph.to_sheets).map do |edge|
            { wire: edge.wire_uuid, from: edge.from, to: edge.to, from_node: edge.from_node, to_node: edge.to_node }.compact
          end
        end

        def wire(wire)
          { number: wire.number, colour: wire.colour, thick: wire.section_mm2.to_f >= THICK_MM2, twisted_with: twin(wire) }.compact
        end

        def twin(wire) = wire.twisted_with && @sheet.wire(wire.twisted_with)&.uuid
        def id_of(node) = node.split(':', 2).first
        def bodies = @sheet.parts.grep(Parts::Body).to_h { |part| [part.id, { uuid: part.uuid, label: part.label }] }
        def zones = @sheet.zones.map { |key, zone| { key: key, label: zone['label'] || key } }
      end
    end
  end
end
