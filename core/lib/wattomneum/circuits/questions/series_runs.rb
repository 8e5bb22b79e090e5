# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # Branches in one run without a fork: whichever of them opens, everything else sees the same. A run ends at every node where
      # something is watched, or where a driver or a wire list forks.
      class SeriesRuns
        # @param circuit [Circuit]
        def initialize(circuit)
          @circuit = circuit
          @runs = Numerics::Unions.new(circuit.owned.size)
          @joints = joints
          @joints.each_value { |one, other| @runs.join(one, other) }
          freeze
        end

        # @param branches [Array<Integer>]
        # @return [Array<Integer>] the runs they lie in: the same for whatever has the same effect when it opens
        def of(branches) = branches.map { |index| @runs.of(index) }.uniq.sort

        # @param index [Integer] of a branch
        # @return [Array<Step>] the branches of its run one after another; empty where the run closes on itself
        def in_order(index)
          members = @runs.with(index)
          first = members.find { |one| ends(one).any? { |node| !@joints.key?(node) } } or return []
          from = ends(first).find { |node| !@joints.key?(node) }
          members.each_with_object([]) do |_, steps|
            to = ends(first).find { |node| node != from } || from
            steps << Step.new(index: first, from: from, to: to)
            from = to
            first = (@joints.fetch(to) { return steps } - [first]).first
          end
        end

        # index: of a branch; from and to: nodes, as one goes along the run
        Step = Struct.new(:index, :from, :to, keyword_init: true)

        private

        def ends(index) = @circuit.network.branches[index].then { |branch| [branch.from, branch.to] }

        # Pairs of branches that meet where nothing else does and nothing looks, by node.
        def joints
          at = Hash.new { |hash, node| hash[node] = [] }
          @circuit.network.branches.each_with_index do |branch, index|
            at[branch.from] << index
            at[branch.to] << index
          end
          looked_at.each { |node| at.delete(node) }
          at.select { |_, branches| branches.uniq.size == 2 && branches.size == 2 }
        end

        def looked_at
          watched = @circuit.watches.flat_map { |watch| [watch.from, watch.to] }
          drivers = @circuit.owned.filter_map { |one| one.branch.driver }
          needed = drivers.flat_map { |driver| [driver.ground, *driver.needs.map(&:pin)] }
          [0, *(watched + needed).map { |name| @circuit.node(name) }].uniq
        end
      end
    end
  end
end
