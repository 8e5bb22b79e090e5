# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # Which branches of a circuit conduct for given positions, and what the currents then ask of relays, drivers, diodes and fuses.
      class Switching
        # A diode turns on only for volts that are more than rounding.
        DIODE_MARGIN_VOLT = 1e-9
        # Full flips of all diodes before one at a time takes over (least index: sure to end, Murty 1974, from memory).
        QUICK_FLIPS = 8
        MOST_FLIPS = 400

        # @param circuit [Circuit]
        def initialize(circuit)
          @circuit = circuit
          @network = circuit.network
          sort_branches
          @steps_a_solve = steps_a_solve
          freeze
        end

        # @param key_state [String]
        # @param positions [Positions]
        # @return [Array<Boolean>] for each branch
        def conducting(key_state, positions)
          conducts = @base.fetch(key_state).dup
          @by_relay.each do |id, contacts|
            energised = positions.energised.include?(id)
            contacts.each { |index, when_energised| conducts[index] = (energised == when_energised) }
          end
          positions.driven.each { |index| conducts[index] = true }
          @undriven.each { |index, beside| conducts[index] = !positions.driven.include?(beside) }
          positions.forward.each { |index| conducts[index] = true }
          positions.blown.each { |id| @fuse_branches.fetch(id).each { |index| conducts[index] = false } }
          conducts
        end

        # Solves with the diodes in the directions that the currents ask for.
        #
        # @param network [Network, Variation] the circuit's own, or with an instrument in it
        # @param key_state [String]
        # @param positions [Positions]
        # @param opened [Array<Integer>] branches that are open whatever else holds
        # @return [Array(Solution, Array<Integer>)] and the diodes that conduct
        # @raise [ConvergenceError] if the diodes find no direction
        def solve(network, key_state, positions, opened)
          forward = positions.forward
          MOST_FLIPS.times do |flips|
            Effort.spend!(@steps_a_solve)
            conducts = conducting(key_state, positions.with(forward: forward))
            conducts.concat(Array.new(network.branches.size - conducts.size, true))
            solution = network.solve(conducts, opened: opened)
            wrong = wrong_diodes(solution, forward, opened)
            wrong = wrong_between_parts(network, conducts, solution, forward, opened) if wrong.empty?
            return [solution, forward] if wrong.empty?

            wrong = wrong.first(1) if flips >= QUICK_FLIPS
            forward = (forward - wrong) + (wrong - forward)
          end
          raise ConvergenceError, "the diodes of sheet #{@circuit.sheet.key} found no direction in #{MOST_FLIPS} tries"
        end

        # @param solution [Solution]
        # @param positions [Positions]
        # @param scale [Hash{String => Float}] ratio by which a relay's own threshold is off its label
        # @return [Array<String>] ids of the relays that these currents pull in or hold
        def energised_by(solution, positions, scale)
          @circuit.relays.filter_map do |relay|
            ampere = coil_ampere(solution, relay)
            held = positions.energised.include?(relay.id)
            relay.id if ampere >= (held ? relay.drop_out_ampere : relay.pull_in_ampere) * scale.fetch(relay.id, 1.0)
          end
        end

        # @param solution [Solution]
        # @param relay [Parts::Relay]
        # @return [Float] ampere in the coil, whichever way it flows
        def coil_ampere(solution, relay) = solution.current(@coils.fetch(relay.id)).abs

        # @param solution [Solution]
        # @param key_state [String]
        # @return [Array<Integer>] branches whose driver is on at these volts
        def driven_by(solution, key_state)
          @drivers.filter_map { |index, driver, ground, needs| index if on?(solution, driver, ground, needs, key_state) }
        end

        # @param solution [Solution]
        # @param positions [Positions]
        # The one with the largest share of its rating goes first; what flows then is another question, since a dead short behind 5 A
        # would else take the 30 A before it along.
        #
        # @return [Array(String, Float), nil] the fuse that blows now, with the ampere that did it
        def blowing(solution, positions)
          whole = @circuit.fuses.reject { |fuse| positions.blown.include?(fuse.id) }
          shares = whole.to_h { |fuse| [fuse, fuse_ampere(solution, fuse) / fuse.blows_ampere] }
          fuse, share = shares.max_by(&:last)
          [fuse.id, share * fuse.blows_ampere] if fuse && share > 1
        end

        private

        # Its branches are gone through twice, its nodes eliminated and put back.
        def steps_a_solve
          sums = @network.elimination.steps.sum { |step| step.neighbours.size + (step.pairs.size / 3) }
          (@network.branches.size + sums) / 2
        end

        def fuse_ampere(solution, fuse) = @fuse_branches.fetch(fuse.id).map { |index| solution.current(index).abs }.max

        def sort_branches
          owned = @circuit.owned
          by_gate = owned.each_index.group_by { |index| owned[index].branch.gate }
          @base = @circuit.sheet.states.keys.to_h { |state| [state, base(state)] }.freeze
          @by_relay = contacts(by_gate)
          @coils = owned.each_index.select { |index| owned[index].branch.name == 'coil' && owned[index].part.is_a?(Parts::Relay) }
                        .to_h { |index| [owned[index].part.id, index] }
          @fuse_branches = (by_gate[:whole] || []).group_by { |index| owned[index].part.id }
          @diodes = by_gate[:forward] || []
          @drivers = (by_gate[:driven] || []).map { |index| prepared(index) }
          @undriven = (by_gate[:undriven] || []).to_h { |index| [index, beside(index)] }
        end

        # The driven branch of the same part.
        def beside(index) = @drivers.map(&:first).find { |other| @circuit.owned[other].part == @circuit.owned[index].part }

        def base(state)
          @circuit.owned.map do |one|
            case one.branch.gate
            when :always, :whole, :undriven then true
            when :states then one.branch.states.include?(state)
            else false
            end
          end
        end

        def contacts(by_gate)
          pairs = (by_gate[:energised] || []).map { |index| [index, true] } + (by_gate[:rest] || []).map { |index| [index, false] }
          pairs.group_by { |index, _| @circuit.owned[index].part.id }
        end

        def prepared(index)
          driver = @circuit.owned[index].branch.driver
          [index, driver, @circuit.node(driver.ground), driver.needs.map { |need| [@circuit.node(need.pin), need.least_volt] }]
        end

        def on?(solution, driver, ground, needs, key_state)
          return false unless driver.states.nil? || driver.states.include?(key_state)

          needs.all? do |node, least|
            solution.connected?(node, ground) && solution.volt(node) - solution.volt(ground) >= least
          end
        end

        def wrong_diodes(solution, forward, opened)
          (@diodes - opened).select do |index|
            branch = @network.branches[index]
            if forward.include?(index) then solution.current(index) < -DIODE_MARGIN_VOLT
            else solution.connected?(branch.from, branch.to) && solution.across(branch) > branch.volt + DIODE_MARGIN_VOLT
            end
          end
        end

        # Of several diodes in a row all block at first, and what lies between them has no volts to decide by: there a leak through each
        # says which way it would go.
        def wrong_between_parts(network, conducts, solution, forward, opened)
          blocking = @diodes - opened - forward
          return [] if blocking.all? { |index| together?(solution, index) }

          leaking = network.solve(conducts, opened: opened, leaking: blocking)
          blocking.select do |index|
            branch = @network.branches[index]
            !together?(solution, index) && leaking.connected?(branch.from, branch.to) && leaking.across(branch) > branch.volt + DIODE_MARGIN_VOLT
          end
        end

        def together?(solution, index)
          branch = @network.branches[index]
          solution.connected?(branch.from, branch.to)
        end
      end
    end
  end
end
