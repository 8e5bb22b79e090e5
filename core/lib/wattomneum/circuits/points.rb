# frozen_string_literal: true

module Wattomneum
  module Circuits
    # All places of a circuit that a probe can touch.
    class Points
      # A wire's own ring or clamp is named by the wire, which keeps its UUID when it is renumbered.
      RING = 'wire '

      # As it stands on its own sheet: a stud or metal by its name alone, and without the sheet's name where another has one of that name too.
      #
      # @param node [String]
      # @return [String]
      def self.drawn(node) = node.gsub(/@\w+/, '').sub(/:(joint|metal)\z/, '')

      # @param circuit [Circuit]
      def initialize(circuit)
        @circuit = circuit
        @sheet = circuit.sheet
      end

      # @return [Array<Point>] in the order of the sheet
      def all = @all ||= @sheet.parts.flat_map { |part| pins(part) + rings(part) }.freeze

      # @param node [String] "K1:30", "G8:8"
      # @return [Point]
      # @raise [UnknownKeyError] if no probe can get there
      def at(node) = by_node[node] || raise(UnknownKeyError, "this unit has no point \"#{node}\": choose one of its pins, posts or studs")

      # @param drawn [String] by whatever name it goes: an alias, run together, the name of a stud
      # @return [Point]
      # @raise [UnknownKeyError]
      def named(drawn)
        by_node[drawn] || at(Sheet.node_of(drawn) { |id| @sheet.part(id) } || drawn)
      end

      # As it is said in a sentence: by what it is where it has such a name, a ring or clamp by its wire, else as it is drawn.
      #
      # @param node [String]
      # @return [String] "starter case", "clamp of wire 5 on BAT_A:-", "K11:87"
      def spoken(node)
        role = Roles.at(node, @sheet)
        return Wording.inside(role.label.delete(',')) if role

        point = by_node[node]
        point&.pin&.start_with?(RING) ? Wording.inside(point.label.split(', ', 2).first) : Points.drawn(node)
      end

      # @param item_uuid [String]
      # @param pin [String]
      # @return [Point, nil] nil where the sheets have lost it
      def kept(item_uuid, pin) = (@kept ||= all.to_h { |point| [[point.item_uuid, point.pin], point] })[[item_uuid, pin]]

      private

      def by_node = @by_node ||= all.to_h { |point| [point.node, point] }

      def pins(part)
        part.pins.map do |pin|
          Point.new(node: part.node(pin), item_uuid: part.uuid, pin: pin, zone: part.zone, label: "#{Points.drawn(part.node(pin))}, #{part.label}")
        end
      end

      def rings(part)
        wires_on(part).map do |wire, node|
          on = Points.drawn(part.joint? ? part.id : node.split.first)
          Point.new(node: node, item_uuid: part.uuid, pin: "#{RING}#{wire.uuid}", zone: part.zone,
                    label: "#{part.ring_word.capitalize} of wire #{wire.drawn_number} on #{on}, #{part.label}")
        end
      end

      def wires_on(part)
        @rings ||= @circuit.owned.select(&:ring_of).group_by(&:part)
        (@rings[part] || []).map { |one| [one.ring_of, one.branch.from] }
      end
    end
  end
end
