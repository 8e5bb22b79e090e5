# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # The ordered way from a pin to its supply and to ground in one key state, with every fuse, pin, splice and stud on it; where
      # nothing leads there now, the way there would be, and where it is interrupted.
      class PathFinder
        # One piece of the way: what it is, from which node to which, its drop and current now; open: not conducting in this state,
        # why: what would close it; load: passes through something that uses current.
        #   index: of its branch
        Step = Struct.new(:item, :label, :kind, :from, :to, :drop_volt, :ampere, :open, :why, :load, :index, keyword_init: true)
        # steps from the pin outwards; complete: conducts all the way; ends_at: node.
        Path = Struct.new(:steps, :complete, :ends_at, keyword_init: true) do
          # @return [Boolean] whether current flows along it without passing through a load
          def plain? = complete && steps.none?(&:load)
        end
        # A way through a load is taken only where no other leads on, one through an open contact only where none is closed.
        THROUGH_LOAD = 1e4
        THROUGH_OPEN = 1e8
        BASE = 1e-6
        private_constant :THROUGH_LOAD, :THROUGH_OPEN, :BASE

        # @param circuit [Circuit]
        # @param result [Solving::OperatingPoint::Result]
        def initialize(circuit, result)
          @circuit = circuit
          @result = result
          @solution = result.solution
          @around = Hash.new { |hash, node| hash[node] = [] }
          @least = {}
          @found = {}
          circuit.owned.each_with_index { |_, index| join(index) }
        end

        # @param pin [String]
        # @return [Path] to the plus side of a battery, an alternator or a reference inside a control unit
        # @raise [UnknownKeyError]
        def to_supply(pin) = find(@circuit.node(pin), sources, own_part(pin))

        # @param pin [String]
        # @return [Path] to the plus side of the bank, whatever else feeds the pin
        # @raise [UnknownKeyError]
        def to_battery(pin) = find(@circuit.node(pin), battery_plus, own_part(pin))

        # @param pin [String]
        # @return [Path] to battery negative
        # @raise [UnknownKeyError]
        def to_ground(pin) = find(@circuit.node(pin), [0], own_part(pin))

        # @param pin [String]
        # @param other [String]
        # @return [Path] from one to the other
        # @raise [UnknownKeyError]
        def between(pin, other) = find(@circuit.node(pin), [@circuit.node(other)], nil)

        private

        def branch(index) = @circuit.network.branches[index]

        def join(index)
          one = branch(index)
          return unless one.volt.zero?

          @around[one.from] << [index, one.to]
          @around[one.to] << [index, one.from]
        end

        # The post that everything is counted from; where none is named, that of the battery whose plus no other battery stands on.
        def battery_plus
          batteries = @circuit.sheet.parts.grep(Parts::Battery).flat_map { |battery| @circuit.inside(battery) }
          posts = batteries.map { |index| branch(index).from }
          named = @circuit.sheet.places['positive_post']&.then { |node| @circuit.node(node) }
          posts.include?(named) ? [named] : posts.max_by(1) { |node| @solution.volt(node).round(1) }
        end

        def sources = @sources ||= find_sources

        def find_sources
          sources = @circuit.owned.each_index.reject { |index| branch(index).volt.zero? || feeds_nothing?(@circuit.owned[index]) }
          live = sources.select { |index| @solution.conducting[index] }
          (live.empty? ? sources : live).map { |index| branch(index).from }.reject(&:zero?)
        end

        # A diode's forward volts, and the back-EMF of a starter, are no supply.
        def feeds_nothing?(one) = one.branch.gate == :forward || one.part.is_a?(Parts::Starter)

        def own_part(pin) = @circuit.sheet.part(pin.split(':', 2).first)

        # The way through the component that the pin belongs to comes before a way through any other.
        def cost(index, own)
          total = bare_cost(index)
          total += THROUGH_LOAD unless @circuit.conductor?(index) || (own && @circuit.owned[index].part == own)
          total
        end

        def bare_cost(index)
          total = branch(index).ohm + BASE
          total += THROUGH_OPEN unless @solution.conducting[index]
          total
        end

        # The same few ways are asked for by every reading of a job.
        def find(start, goals, own)
          @found.clear if @found.size >= KEPT
          @found[[start, goals, own&.id]] ||= look_for(start, goals, own)
        end

        KEPT = 500
        private_constant :KEPT

        def look_for(start, goals, own)
          least = least_to(goals)
          goal, came_by = Numerics::ShortestPath.call(start, goals, ahead: ->(node) { least.fetch(node, 0.0) }) { |node| ways(node, own) }
          goal ? path(start, goal, came_by) : Path.new(steps: [], complete: false, ends_at: nil)
        end

        # Least cost from any node to these goals, were every component its own: worked out once for all pins that are asked about.
        def least_to(goals)
          @least[goals] ||= Numerics::ShortestPath.costs(goals) { |node| @around[node].map { |index, other| [other, bare_cost(index), index] } }
        end

        # Ways on from a node: where to, at what cost, by which branch.
        def ways(node, own) = @around[node].map { |index, other| [other, cost(index, own), index] }

        def path(start, goal, came_by)
          steps = []
          node = goal
          until node == start
            index, before = came_by.fetch(node)
            steps << step(index, before, node)
            node = before
          end
          steps.reverse!
          Path.new(steps: steps, complete: steps.none?(&:open), ends_at: @circuit.names[goal])
        end

        def step(index, from, to)
          open = !@solution.conducting[index]
          forward = branch(index).from == from
          Step.new(item: item_key(index), label: @circuit.describe(index), kind: @circuit.owned[index].part&.kind || 'wire',
                   from: @circuit.names[from], to: @circuit.names[to], drop_volt: drop(from, to),
                   ampere: @solution.current(index) * (forward ? 1 : -1), open: open, why: open ? why_open(index) : nil,
                   load: !@circuit.conductor?(index), index: index)
        end

        def drop(from, to)
          @solution.connected?(from, to) ? @solution.volt(from) - @solution.volt(to) : nil
        end

        def item_key(index)
          one = @circuit.owned[index]
          one.part ? one.part.id : "wire #{one.wire.number}"
        end

        def why_open(index)
          one = @circuit.owned[index].branch
          part = @circuit.owned[index].part
          case one.gate
          when :states then closed_in(one.states)
          when :energised then "#{part.id} is not pulled in"
          when :rest then "#{part.id} is pulled in"
          when :whole then "#{part.id} has blown"
          when :driven then 'its driver is off'
          else 'held open'
          end
        end

        def closed_in(states)
          return 'open in every state' if states.empty?

          "closed in: #{states.map { |key| @circuit.sheet.states.fetch(key, key) }.join(', ')}"
        end
      end
    end
  end
end
