# frozen_string_literal: true

module Wattomneum
  module Faults
    module Suspects
      # The part of a circuit that can make one thing fail in one state: its way from the battery and back, and the same of every coil and
      # control unit that a contact or driver on the way needs.
      class Scope
        # @return [Array<Circuits::Consumer>] the thing itself first, then what it needs
        attr_reader :consumers

        # @param machine [Circuits::Machine] the unit's sound circuit
        # @param part [Circuits::Part] that fails
        # @param state [String] key state of the sheet
        def initialize(machine, part, state)
          @machine = machine
          @finder = machine.paths(state)
          @consumers = []
          @indices = []
          machine.consumers.needed(part).each { |consumer| around(consumer) }
          @indices.uniq!
        end

        # @return [Array<Integer>] branches on the way
        attr_reader :indices

        # @return [Array<String>] nodes on the way where a probe can go
        def nodes
          @nodes ||= indices.flat_map { |index| ends(index) }.uniq.select { |node| probed?(node) }
        end

        # @param index [Integer] of a branch
        # @return [Array(String, String)] its nodes
        def ends(index)
          branch = @machine.circuit.network.branches[index]
          [branch.from, branch.to].map { |node| @machine.circuit.names[node] }
        end

        private

        def around(consumer)
          return if @consumers.include?(consumer)

          @consumers << consumer
          steps = [@finder.to_battery(consumer.from), @finder.to_ground(consumer.to)].flat_map(&:steps)
          @indices.concat(steps.map(&:index), inside(consumer))
          steps.filter_map { |step| needy(step) }.uniq.each { |part| @machine.consumers.needed(part).each { |one| around(one) } }
        end

        # The element that does the work between its two pins.
        def inside(consumer)
          from, to = [consumer.from, consumer.to].map { |node| @machine.circuit.node(node) }
          part = @machine.sheet.part(consumer.part_id)
          @machine.circuit.inside(part).select { |index| @machine.circuit.network.branches[index].then { |one| [one.from, one.to] == [from, to] } }
        end

        def needy(step)
          owned = @machine.circuit.owned[step.index]
          owned.part if %i[energised driven].include?(owned.branch.gate) && !owned.part.is_a?(Circuits::Parts::Starter)
        end

        def probed?(node)
          @machine.points.at(node)
        rescue UnknownKeyError
          false
        end
      end
    end
  end
end
