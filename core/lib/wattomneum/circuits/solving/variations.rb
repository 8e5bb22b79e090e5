# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # One network to be solved very often with a branch or two otherwise: what all have in common is eliminated once for each position of the
      # contacts, and for each of them only what its own branches reach.
      class Variations
        # Positions of contacts of which the common part is kept: each is some tens of kilobytes.
        MOST_KEPT = 60
        # stamps: before anything was eliminated
        Kept = Struct.new(:stamps, :reduction)
        private_constant :Kept

        # @return [Network]
        attr_reader :network
        # @return [EliminationTree]
        attr_reader :tree

        # @param network [Network]
        def initialize(network)
          @network = network
          @tree = EliminationTree.new(network.elimination, network.node_count)
          @in_slot = network.branches.each_index.group_by { |index| network.slot(network.branches[index]) }
          @kept = {}
        end

        # @param ohms [Hash{Integer => Float}] branches that have another resistance
        # @param extra [Array<Network::Branch>] more of them
        # @return [Variation, Network] the second where a source differs or another order of elimination is needed
        def with(ohms: {}, extra: [])
          return Variation.new(self, ohms, extra) if within?(ohms, extra)

          (ohms.empty? ? network : network.altered(ohms)).then { |other| extra.empty? ? other : other.with(extra) }
        end

        # @param slot [Integer]
        # @return [Array<Integer>] branches that add up in it, in order
        def branches_in(slot) = @in_slot.fetch(slot, [])

        # @param conducting [Array<Boolean>] for each branch of the network, what conducts in most variations
        # @param leaking [Array<Integer>] see Network#solve
        # @yieldreturn [Hash{Integer => Float}] siemens of the slots that differ
        # @return [Reduction]
        def reduction(conducting, leaking)
          kept = keep([conducting, leaking])
          changed = yield
          changed.empty? ? kept.reduction : kept.reduction.with(tree, kept.stamps, changed)
        end

        private

        def within?(ohms, extra)
          (extra + ohms.keys.map { |index| network.branches[index] }).all? { |branch| branch.volt.to_f.zero? } && network.room_for?(extra)
        end

        # The one that was asked for longest ago goes.
        def keep(key)
          kept = @kept.delete(key) || reduce(*key)
          @kept.shift if @kept.size >= MOST_KEPT
          @kept[key] = kept
        end

        def reduce(conducting, leaking)
          stamps = network.stamps(conducting, leaking: leaking)
          Kept.new(stamps, Reduction.of(network.elimination, *stamps.map(&:dup)))
        end
      end
    end
  end
end
