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
          @run = (0...circuit.owned.size).to_a
          joined_nodes.each { |one, other| join(one, other) }
          freeze
        end

        # @param branches [Array<Integer>]
        # @return [Array<Integer>] the runs they lie in: the same for whatever has the same effect when it opens
        def of(branches) = branches.map { |index| root(index) }.uniq.sort

        private

        def root(index)
          index = @run[index] until @run[index] == index
          index
        end

        def join(one, other) = @run[root(one)] = root(other)

        # Pairs of branches that meet where nothing else does and nothing looks.
        def joined_nodes
          at = Hash.new { |hash, node| hash[node] = [] }
          @circuit.network.branches.each_with_index do |branch, index|
            at[branch.from] << index
            at[branch.to] << index
          end
          looked_at.each { |node| at.delete(node) }
          at.values.select { |branches| branches.uniq.size == 2 && branches.size == 2 }
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
