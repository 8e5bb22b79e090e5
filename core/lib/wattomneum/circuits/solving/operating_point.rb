# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A circuit settled in one key state: relays by the current in their coils, drivers by the volts they need, fuses that blow.
      class OperatingPoint
        # solution: volts and currents; positions: where everything stands; chattering: ids of relays and drivers' pins that
        # never come to rest; others: the outcomes a relay near its threshold may have instead; blown: fuse id to ampere, in
        # this state; uncertain: ids of those relays; on_the_way: every solution until it came to rest, since a wire that only
        # pulls a relay in carries nothing once the relay holds itself
        Result = Struct.new(:key_state, :solution, :positions, :chattering, :others, :blown, :uncertain, :on_the_way, keyword_init: true) do
          # @return [Boolean]
          def chatters? = chattering.any?
        end
        # More rounds than a real circuit needs to settle.
        MOST_ROUNDS = 60
        # A relay whose coil current lies this near its threshold may do either (see Parts::Relay::SPREAD_RATIO).
        NEAR = ((1 - Parts::Relay::SPREAD_RATIO)..(1 + Parts::Relay::SPREAD_RATIO))

        # @param circuit [Circuit]
        # @param switching [Switching]
        # @param key_state [String]
        # @param before [Positions] where things stood in the key state before
        # @param opened [Array<Integer>] branches held open
        # @param network [Network, Variation] the circuit's own, or with instruments in it and with other resistances
        # @raise [UnknownKeyError] if the sheet has no such key state
        def initialize(circuit, key_state, switching: Switching.new(circuit), before: Positions.rest, opened: [], network: circuit.network)
          unless circuit.sheet.states.key?(key_state)
            raise UnknownKeyError, "sheet #{circuit.sheet.key} has no key state #{key_state}: #{circuit.sheet.states.keys.join(', ')}"
          end

          @circuit = circuit
          @switching = switching
          @key_state = key_state
          @before = before
          @opened = opened
          @network = network
        end

        # @return [Result]
        # @raise [ConvergenceError] if the diodes find no direction
        def call
          result = settle({})
          near = relays_near(result)
          return result if near.empty?

          result.others = others(result, near)
          result.uncertain = result.others.empty? ? [] : near
          result
        end

        private

        def settle(scale)
          @on_the_way = []
          positions = @before.with(driven: excited_before)
          blown = {}
          loop do
            solution, positions, chattering = come_to_rest(positions, scale)
            fuse, ampere = @switching.blowing(solution, positions)
            if fuse.nil?
              return Result.new(key_state: @key_state, solution: solution, positions: positions, chattering: chattering, others: [],
                                blown: blown, uncertain: [], on_the_way: @on_the_way)
            end

            blown[fuse] = ampere
            positions = positions.with(blown: [*positions.blown, fuse])
          end
        end

        # An alternator that charges keeps itself excited as long as it turns; whatever else is driven is asked anew.
        def excited_before = @before.driven.select { |index| @circuit.owned[index].part.is_a?(Parts::Alternator) }

        # Everything at once, as in the machine; one thing at a time where that never ends, to tell chatter from haste.
        def come_to_rest(positions, scale)
          solution, settled, moving = rounds(positions, scale) { |_, asked| asked }
          return [solution, settled, []] if moving.empty?

          solution, settled, moving = rounds(positions, scale) { |now, asked| one_step(now, asked) }
          [solution, settled, moving]
        end

        def rounds(positions, scale)
          seen = []
          MOST_ROUNDS.times do
            solution, forward = @switching.solve(@network, @key_state, positions, @opened)
            @on_the_way << solution
            positions = positions.with(forward: forward)
            asked = positions.with(energised: @switching.energised_by(solution, positions, scale),
                                   driven: @switching.driven_by(solution, @key_state))
            return [solution, positions, []] if same?(asked, positions)

            seen << [positions.energised.sort, positions.driven.sort]
            following = yield(positions, asked)
            again = seen.index([following.energised.sort, following.driven.sort])
            return [solution, positions, moving_in(seen.drop(again))] if again

            positions = following
          end
          [*@switching.solve(@network, @key_state, positions, @opened).first(1), positions, moving_in(seen)]
        end

        def same?(one, other) = one.energised.sort == other.energised.sort && one.driven.sort == other.driven.sort

        # Drivers follow volts at once; relays one after another, as drawn.
        def one_step(now, asked)
          return now.with(driven: asked.driven) unless now.driven.sort == asked.driven.sort

          changed = ((now.energised - asked.energised) + (asked.energised - now.energised)).min
          now.with(energised: now.energised.include?(changed) ? now.energised - [changed] : now.energised + [changed])
        end

        def moving_in(cycle)
          relays = cycle.map(&:first)
          drivers = cycle.map(&:last)
          (relays.flatten.uniq - relays.reduce(:&)) + (drivers.flatten.uniq - drivers.reduce(:&)).map { |index| @circuit.describe(index) }
        end

        def relays_near(result)
          @circuit.relays.select do |relay|
            ampere = @switching.coil_ampere(result.solution, relay)
            thresholds(relay, result).any? { |threshold| NEAR.cover?(ampere / threshold) }
          end.map(&:id)
        end

        # One that was pulled in before need only be held; one that rests, or pulled in only now, has to be pulled.
        def thresholds(relay, result)
          before, now = [@before, result.positions].map { |positions| positions.energised.include?(relay.id) }
          [*(relay.drop_out_ampere if before), *(relay.pull_in_ampere unless before && now)]
        end

        def others(result, near)
          scales = near.flat_map { |id| [NEAR.begin, NEAR.end].map { |ratio| { id => ratio } } }
          scales.map { |scale| settle(scale) }
                .reject { |other| other.positions.energised.sort == result.positions.energised.sort }
                .uniq { |other| other.positions.energised.sort }
        end
      end
    end
  end
end
