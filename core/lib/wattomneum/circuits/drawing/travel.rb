# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # Where a reader goes from a wire's end with the arrow keys: up towards what feeds it, down towards ground. The picture alone does not say it.
      class Travel
        # @param graph [Graph]
        def initialize(graph)
          @graph = graph
          @node_of = graph.nodes.flat_map { |node| node.ports.map { |port| [port, node] } }.to_h
          @above = graph.edges.to_h { |edge| [edge.to, edge.from] }
          @below = graph.edges.to_h { |edge| [edge.from, edge.to] }
        end

        # @param port [Graph::Port]
        # @return [Hash{Symbol => String}] up, down: ids of ports; without what leads nowhere
        def from(port)
          { up: @above[port.id] || within(port, Sides::TOP), down: @below[port.id] || within(port, Sides::BOTTOM) }.compact
        end

        private

        # Through the part itself to its other side: over its own branches where they lead there; up to what lies nearest the supply, down to
        # what lies farthest from it.
        def within(port, side)
          return if port.side == side || port.pin.nil?

          others = @node_of.fetch(port).ports.select { |other| other.side == side && other.pin }
          joined = others.select { |other| joined_to(port.pin).include?(other.pin) }
          ranked = (joined.empty? ? others : joined).sort_by { |other| [@graph.distances.of(other.pin), other.id] }
          (side == Sides::TOP ? ranked.first : ranked.last)&.id
        end

        def joined_to(pin)
          @graph.sheet.part(pin.split(':', 2).first).branches.flat_map do |branch|
            [branch.from, branch.to].include?(pin) ? [branch.from, branch.to] - [pin] : []
          end
        end
      end
    end
  end
end
