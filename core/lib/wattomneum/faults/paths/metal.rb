# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What hangs together through nothing but metal in one state: wires, joints, plugs, closed contacts.
      class Metal
        # @param machine [Circuits::Machine]
        # @param sheet_state [String]
        def initialize(machine, sheet_state)
          @machine = machine
          @conducting = machine.settled.fetch(sheet_state).solution.conducting
        end

        # @param node [String]
        # @param without [Array<Integer>] branches that are open besides
        # @return [Array<Integer>] branches that are reached from it
        def reached(node, without: [])
          open = without.to_set
          seen = [node].to_set
          found = Set.new
          waiting = [node]
          until waiting.empty?
            from(waiting.shift).each do |index, other|
              next if open.include?(index)

              found << index
              waiting << other if seen.add?(other)
            end
          end
          found.to_a
        end

        # @param node [String]
        # @param without [Array<Integer>]
        # @return [Array<Circuits::RepairUnit>] wires that are reached from it
        def wires(node, without: []) = @machine.repair_units.along(reached(node, without: without)).select { |unit| unit.kind == 'wire' }

        private

        def from(node) = (@ends ||= ends).fetch(node, [])

        # By node: what leads on, and where to.
        def ends
          owned = @machine.circuit.owned
          closed = owned.each_index.select { |index| @conducting[index] && @machine.circuit.conductor?(index) }
          both = closed.flat_map { |index| owned[index].branch.then { |one| [[one.from, index, one.to], [one.to, index, one.from]] } }
          both.group_by(&:first).transform_values { |rows| rows.map { |_, index, other| [index, other] } }
        end
      end
    end
  end
end
