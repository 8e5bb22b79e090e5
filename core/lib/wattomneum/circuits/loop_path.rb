# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A loop of a circuit as electricians think it: out along the feed, through the load, back along the ground, by the points on it that
    # have a name of their own.
    class LoopPath
      # role: key of Roles; nodes: from here to the next stop, both included; empty at the last one of a side
      Stop = Struct.new(:role, :node, :nodes, keyword_init: true)

      # @param machine [Machine]
      # @param loop [Sheet::Loop]
      def initialize(machine, loop)
        @machine = machine
        @loop = loop
        @load = machine.sheet.part(loop.load)
      end

      # @return [String] start or charge
      def key = @loop.key

      # @return [String] what it is called
      def load = @load.label

      # @return [Array<Stop>] from the battery to the load
      def feed = @feed ||= stops(nodes_of(finder.to_battery(inlet), inlet).reverse)

      # @return [Array<Stop>] from the load back to the battery
      def return = @return ||= stops(nodes_of(finder.to_ground(outlet), outlet))

      # @return [String] node at which current comes to the load from outside: what lies behind is mended with it
      def entry = feed.last&.node || inlet

      # @return [String] node at which it leaves it
      def exit = self.return.first&.node || outlet

      private

      def inlet = @load.node(@load.pins.first)
      def outlet = @load.node(@load.pins[1])
      def finder = @machine.paths(@loop.state)
      def nodes_of(path, start) = [start, *path.steps.map(&:to)]

      def stops(nodes)
        named = nodes.each_index.filter_map { |index| [index, role(nodes[index])] if role(nodes[index]) }
        named.each_with_index.map do |(index, role), place|
          following = named[place + 1]&.first
          Stop.new(role: role, node: nodes[index], nodes: following ? nodes[index..following] : [])
        end
      end

      def role(node) = Roles.at(node, @machine.sheet)&.key
    end
  end
end
