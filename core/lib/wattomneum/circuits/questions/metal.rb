# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
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
        # @return [Array<RepairUnit>] wires that are reached from it
        def wires(node, without: []) = @machine.repair_units.along(reached(node, without: without)).select { |unit| unit.kind == 'wire' }

        # @param node [String]
        # @param without [Array<Integer>]
        # @return [Array<String>] nodes that are reached from it, itself among them where anything is
        def nodes(node, without: []) = reached(node, without: without).flat_map { |index| ends(index) }.uniq

        private

        def ends(index) = @machine.circuit.owned[index].branch.then { |one| [one.from, one.to] }
        def from(node) = (@leads ||= leads).fetch(node, [])

        # By node: what leads on, and where to.
        def leads
          closed = @machine.circuit.owned.each_index.select { |index| @conducting[index] && @machine.circuit.conductor?(index) }
          both = closed.flat_map { |index| ends(index).then { |one, other| [[one, index, other], [other, index, one]] } }
          both.group_by(&:first).transform_values { |rows| rows.map { |_, index, other| [index, other] } }
        end
      end
    end
  end
end
