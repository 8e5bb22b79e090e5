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
          @slots = branches.map { |branch| branch.from == branch.to ? nil : @elimination.slot(branch.from, branch.to) }
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

        # Formula: nodal equations, eliminated node by node; back substitution v_k = (j_k + sum(g_kj v_j)) / sum(g_kj).
        # Source: Kirchhoff's current law; see Elimination.
        #
        # @param conducting [Array<Boolean>] for each branch, whether it is closed
        # @param leaking [Array<Integer>] branches that leak LEAK_OHM as they stand, so that what they part has volts of its own
        # @return [Solution]
        def solve(conducting, leaking: [])
          conductance, injected = stamp(conducting)
          leaking.each { |index| conductance[@slots[index]] += 1.0 / LEAK_OHM if @slots[index] }
          sums = reduce(conductance, injected)
          Solution.new(self, conducting, *substitute(conductance, injected, sums))
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

        # The inner loops are plain: they run for every position of every element of every sheet.
        def reduce(conductance, injected)
          @elimination.steps.map do |step|
            slots = step.slots
            sum = 0.0
            slots.each { |slot| sum += conductance[slot] }
            next 0.0 if sum.zero?

            spread(step, conductance, injected, sum)
            sum
          end
        end

        def spread(step, conductance, injected, sum)
          pairs = step.pairs
          at = 0
          size = pairs.size
          while at < size
            one = conductance[pairs[at + 1]]
            other = conductance[pairs[at + 2]]
            conductance[pairs[at]] += one * other / sum unless one.zero? || other.zero?
            at += 3
          end
          own = injected[step.node]
          return if own.zero?

          step.neighbours.each_with_index { |other, index| injected[other] += own * conductance[step.slots[index]] / sum }
        end

        # A node that nothing connects to what is left is the root of a floating part: its volts are counted from itself.
        def substitute(conductance, injected, sums)
          volts = Array.new(node_count, 0.0)
          islands = Array.new(node_count, 0)
          at = sums.size
          while (at -= 1) >= 0
            step = @elimination.steps[at]
            sum = sums[at]
            if sum.zero?
              islands[step.node] = step.node
            else
              settle(step, conductance, injected[step.node], sum, volts, islands)
            end
          end
          [volts, islands]
        end

        def settle(step, conductance, total, sum, volts, islands)
          island = nil
          neighbours = step.neighbours
          step.slots.each_with_index do |slot, index|
            value = conductance[slot]
            next if value.zero?

            other = neighbours[index]
            total += value * volts[other]
            island ||= islands[other]
          end
          volts[step.node] = total / sum
          islands[step.node] = island
        end
      end
    end
  end
end
