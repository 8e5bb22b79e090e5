# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # One of the variations of a network: some branches with another resistance, some more of them, which come last.
      class Variation
        # @return [Array<Network::Branch>]
        attr_reader :branches

        # @param variations [Variations]
        # @param ohms [Hash{Integer => Float}]
        # @param extra [Array<Network::Branch>]
        def initialize(variations, ohms, extra)
          @variations = variations
          @network = variations.network
          @ohms = ohms
          @extra = extra
          @branches = @network.branches + extra
          ohms.each { |index, ohm| @branches[index] = Network::Branch.new(**@branches[index].to_h, ohm: ohm) }
        end

        # @return [Integer]
        def node_count = @network.node_count

        # (see Network#solve)
        def solve(conducting, opened: [], leaking: [])
          common = conducting.first(@network.branches.size)
          closed = conducting.dup
          opened.each { |index| closed[index] = false }
          reduction = @variations.reduction(common, leaking) { changed(closed, opened.select { |index| common[index] }, leaking) }
          SolutionOnDemand.new(self, closed, reduction, @variations.tree)
        end

        private

        # What each slot adds up to in which anything is otherwise, in the order in which a network adds it up.
        def changed(closed, parted, leaking)
          others = @ohms.keys.select { |index| closed[index] }
          slots = ((parted + others).map { |index| branches[index] } + @extra).filter_map { |branch| @network.slot(branch) }
          slots.uniq.to_h { |slot| [slot, siemens(slot, closed, leaking)] }
        end

        def siemens(slot, closed, leaking)
          there = @variations.branches_in(slot)
          more = @extra.select { |branch| @network.slot(branch) == slot }.map(&:ohm)
          ohms = there.select { |index| closed[index] }.map { |index| branches[index].ohm } + more
          # Plainly one after another: Ruby's sum makes up for rounding, which a network does not.
          ohms.concat([Network::LEAK_OHM] * (there & leaking).size).reduce(0.0) { |total, ohm| total + (1.0 / ohm) }
        end
      end
    end
  end
end
