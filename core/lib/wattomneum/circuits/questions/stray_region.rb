# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What lies between something and the firm ends of its circuit, supply and ground, in one state: wires, contacts, plugs, and the same
      # of every relay met on the way. Only there can one fault switch it over.
      class StrayRegion
        GATES = %i[states energised rest driven].freeze
        private_constant :GATES

        # @param machine [Machine]
        # @param consumer [Consumer]
        # @param solution [Solving::Solution] of that state
        # @param on [Boolean] whether it should be on: then its supply is no firm end, since what grounds that switches it off
        def initialize(machine, consumer, solution, on: false)
          @on = on
          @machine = machine
          @circuit = machine.circuit
          @solution = solution
          @firm = firm
          @inside = Set.new
          @met = Set.new
          around(consumer)
        end

        # @return [Array<Integer>] contacts and drivers that are open in this state
        def gates = @met.select { |index| gate?(index) && !@solution.conducting[index] }

        # @return [Array<Integer>] runs of wire
        def wires = @met.select { |index| @circuit.owned[index].wire && @machine.repair_units.of(index).kind == 'wire' }

        # @return [Array<Part>] components of which a part was met
        def parts = @met.filter_map { |index| @circuit.owned[index].part }.uniq

        # @return [Array<Parts::Relay>] whose contact was met
        def relays = @met.select { |index| contact?(index) }.map { |index| @circuit.owned[index].part }.uniq

        # @param node [Integer]
        # @return [Boolean]
        def inside?(node) = @inside.include?(node)

        # @return [Float] volts of what is live in every state: of a wire that others are rubbed through against
        def live_volt = sources.map { |node| @solution.volt(node) }.max || 0.0

        private

        def branch(index) = @circuit.network.branches[index]
        def gate?(index) = GATES.include?(@circuit.owned[index].branch.gate)
        def contact?(index) = %i[energised rest].include?(@circuit.owned[index].branch.gate)

        # Ways for current, whether they are closed now or not.
        def way?(index) = branch(index).volt.zero? && (@circuit.conductor?(index) || (gate?(index) && !@circuit.owned[index].part.is_a?(Parts::Load)))

        def sources
          @sources ||= @circuit.owned.each_index.select { |index| @circuit.owned[index].part.is_a?(Parts::Battery) }.map { |index| branch(index).from }
                               .reject(&:zero?).uniq
        end

        # All that stands firmly on supply or ground now.
        def firm
          @ways = @circuit.owned.each_index.select { |index| way?(index) }
          closed = joined(@ways.select { |index| @solution.conducting[index] })
          spread(@on ? [0] : [0, *sources], closed)
        end

        def joined(indices)
          indices.each_with_object(Hash.new { |hash, node| hash[node] = [] }) do |index, around|
            around[branch(index).from] << [index, branch(index).to]
            around[branch(index).to] << [index, branch(index).from]
          end
        end

        def spread(start, around)
          seen = start.to_set
          queue = start.dup
          while (node = queue.shift)
            around.fetch(node, []).map(&:last).each { |other| queue << other if seen.add?(other) }
          end
          seen
        end

        # From both ends of it as far as the firm ends; then from the coil of every relay met.
        def around(consumer)
          @around ||= joined(@ways)
          [consumer.from, consumer.to].each { |node| walk(@circuit.node(node)) }
          relays.each { |relay| @machine.consumers.of(relay).each { |coil| around(coil) } if (@walked ||= Set.new).add?(relay.id) }
        end

        def walk(start)
          queue = [start]
          while (node = queue.shift)
            next if @firm.include?(node) || !@inside.add?(node)

            @around.fetch(node, []).each do |index, other|
              @met << index
              queue << other
            end
          end
        end
      end
    end
  end
end
