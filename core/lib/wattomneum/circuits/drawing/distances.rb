# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # How far each pin lies from what feeds it, in wires: supplies come to stand on top. From a positive post first, through what only passes
      # current on; then, for what a control unit feeds or reads, from its pins; what neither reaches, from its first pin on.
      class Distances
        LOAD = 4.0
        FROM_UNIT = 1_000
        UNFED = 2_000
        # So far lies what no wire leads to.
        FAR = 5_000
        STOPS = %w[body ground battery control_unit].freeze
        FEEDS = %w[high_side reference].freeze
        private_constant :LOAD, :UNFED, :STOPS, :FEEDS

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
          @ends = Ends.new(sheet)
          @found = {}
          flood(feeding_posts, 0)
          unit_pins.group_by { |_, start| start }.sort.each { |start, pins| flood(pins.map(&:first), start) }
          flood_what_is_left
          @found.freeze
        end

        # @param node [String] "K1:30"
        # @return [Integer]
        def of(node) = @found.fetch(node, FAR)

        # @return [Ends] of the same sheet
        attr_reader :ends

        # @param node [String]
        # @return [Boolean] whether it hangs on a control unit rather than on a battery
        def from_unit?(node) = of(node) >= FROM_UNIT

        # Positive posts that feed a sheet: the other ones of a row of batteries are fed themselves.
        #
        # @return [Array<String>] nodes
        def feeding_posts
          batteries = @sheet.parts.grep(Parts::Battery)
          negatives = batteries.to_h { |battery| [battery.node('-'), battery] }
          batteries.reject { |one| @ends.others(one.node('+')).any? { |node| negatives[node] && negatives[node] != one } }.map { |one| one.node('+') }
        end

        private

        def unit_pins
          @sheet.parts.grep(Parts::ControlUnit).flat_map do |unit|
            pins = unit.fields.fetch('pins', []).reject { |pin| pin['role'] == 'ground' }
            pins.map { |pin| [unit.node(pin['pin'].to_s), FROM_UNIT + (FEEDS.include?(pin['role']) ? 0 : 1)] }.reject { |node, _| @found.key?(node) }
          end
        end

        def flood_what_is_left
          ends = @sheet.wires.flat_map { |wire| [wire.from, wire.to] }.reject { |node| part(node).is_a?(Parts::Body) }.uniq.sort
          start = UNFED
          ends.each do |node|
            next if @found.key?(node)

            flood([node], start)
            start += FROM_UNIT / 2
          end
        end

        # What was reached before stays as near as it is.
        def flood(nodes, start)
          costs = Numerics::ShortestPath.costs(nodes) { |node| nodes.include?(node) || !stops?(node) ? onward(node) : [] }
          costs.each { |node, steps| @found[node] ||= start + steps.round }
        end

        def onward(node)
          over_wires = @ends.others(node).map { |other| [other, 1.0, nil] }
          (over_wires + within.fetch(node, [])).reject { |other, _, _| @found.key?(other) }
        end

        # What lies inside parts: a contact is as near as a wire, a load is farther.
        def within
          @within ||= begin
            branches = @sheet.parts.reject { |one| STOPS.include?(one.kind) }.flat_map(&:branches)
            ways = branches.flat_map { |branch| [[branch.from, branch.to, branch], [branch.to, branch.from, branch]] }
            ways.group_by(&:first).transform_values { |from| from.map { |_, to, branch| [to, passes?(branch) ? 1.0 : LOAD, branch.name] }.uniq }
          end
        end

        def passes?(branch)
          one = part(branch.from)
          one.conductor? || [Parts::Switch, Parts::Diode].include?(one.class) || (one.is_a?(Parts::Relay) && branch.name.to_s.start_with?('contact'))
        end

        def stops?(node) = STOPS.include?(part(node)&.kind)
        def part(node) = @sheet.part(node.split(':', 2).first)
      end
    end
  end
end
