# frozen_string_literal: true

module Wattomneum
  # Circuits as data that answers: what should be at any pin, where it comes from, what falls dead when something opens.
  module Circuits
    module Solving
      # A DC network of branches between nodes. A branch is a resistance, perhaps with a source in series; whether it conducts
      # is said at each solve, so that one elimination order serves every position of switches, contacts and diodes.
      class Network
        # Positive `volt` drives current out of `from`. ohm must be over 0.
        Branch = Struct.new(:from, :to, :ohm, :volt, keyword_init: true)

        # What leaks through a blocking diode while it is decided which way it stands; a hundred times what a meter takes.
        LEAK_OHM = 1e9

        # @return [Integer]
        attr_reader :node_count
        # @return [Array<Branch>]
        attr_reader :branches
        # @return [Elimination]
        attr_reader :elimination

        # @param node_count [Integer] nodes are 0 (the reference, battery negative) to node_count - 1
        # @param branches [Array<Branch>]
        # @param spare [Array<Array(Integer, Integer)>] pairs of nodes that a branch may come between later, in the same order of elimination
        # @param elimination [Elimination, nil] of another network that has a place for every branch of this one
        # @raise [InvalidQuantityError] if a resistance is not over 0 ohm
        def initialize(node_count, branches, spare: [], elimination: nil)
          odd = branches.find { |branch| !branch.ohm.positive? || !branch.ohm.finite? }
          raise InvalidQuantityError.new("a branch needs a resistance over 0 ohm, got #{odd.ohm}", field: 'ohm') if odd

          @node_count = node_count
          @branches = branches
          @elimination = elimination || Elimination.new(node_count, branches.map { |branch| [branch.from, branch.to] } + spare)
          @slots = branches.map { |branch| slot(branch) }
          @conductances = branches.map { |branch| 1.0 / branch.ohm }
          freeze
        end

        # @param extra [Array<Branch>]
        # @return [Network] the same with more branches, which come last
        def with(extra)
          Network.new(node_count, branches + extra, elimination: (@elimination if room_for?(extra)))
        end

        # @param extra [Array<Branch>]
        # @return [Boolean] whether they come in without another order of elimination
        def room_for?(extra) = extra.all? { |branch| @elimination.slot?(branch.from, branch.to) }

        # @param ohms [Hash{Integer => Float}] branches that have another resistance
        # @return [Network] the same otherwise, in the same order of elimination
        def altered(ohms)
          changed = branches.each_with_index.map { |branch, index| ohms.key?(index) ? Branch.new(**branch.to_h, ohm: ohms[index]) : branch }
          Network.new(node_count, changed, elimination: @elimination)
        end

        # Formula: nodal equations, eliminated node by node, and v_k = (j_k + sum(g_kj v_j)) / sum(g_kj) back from the last.
        # Source: Kirchhoff's current law; see Elimination.
        #
        # @param conducting [Array<Boolean>] for each branch, whether it is closed
        # @param opened [Array<Integer>] branches that are open all the same
        # @param leaking [Array<Integer>] branches that leak LEAK_OHM as they stand, so that what they part has volts of its own
        # @return [Solution]
        def solve(conducting, opened: [], leaking: [])
          closed = conducting.dup
          opened.each { |index| closed[index] = false }
          Solution.new(self, closed, *Reduction.of(elimination, *stamps(closed, leaking: leaking)).substitute)
        end

        # @param branch [Branch]
        # @return [Integer, nil] where its conductance adds up with that of what lies beside it; nil for one with both ends at one node
        def slot(branch) = branch.from == branch.to ? nil : elimination.slot(branch.from, branch.to)

        # @param conducting [Array<Boolean>] for each branch
        # @param leaking [Array<Integer>] branches that leak
        # @return [Array(Array<Float>, Array<Float>)] siemens by slot and ampere by node, before anything is eliminated
        def stamps(conducting, leaking: [])
          conductance, injected = stamp(conducting)
          leaking.each { |index| conductance[@slots[index]] += 1.0 / LEAK_OHM if @slots[index] }
          [conductance, injected]
        end

        private

        def stamp(conducting)
          conductance = Array.new(@elimination.slot_count, 0.0)
          injected = Array.new(node_count, 0.0)
          branches.each_with_index do |branch, index|
            slot = @slots[index]
            next if slot.nil? || !conducting[index]

            conductance[slot] += @conductances[index]
            next if branch.volt.nil? || branch.volt.zero?

            current = branch.volt * @conductances[index]
            injected[branch.from] += current
            injected[branch.to] -= current
          end
          [conductance, injected]
        end
      end
    end
  end
end
