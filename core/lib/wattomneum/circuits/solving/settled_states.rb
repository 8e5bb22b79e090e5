# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Solving
      # A circuit gone through its key states in order: relays hold from one state to the next, a fuse that blew stays blown.
      class SettledStates
        # @return [Circuit]
        attr_reader :circuit
        # @return [Switching]
        attr_reader :switching
        # @return [Array<Integer>] branches held open
        attr_reader :opened

        # @param circuit [Circuit]
        # @param switching [Switching]
        # @param opened [Array<Integer>] branches held open throughout
        # @param network [Network, Variation] the circuit's own, or with instruments in it and with other resistances
        # @param results [Hash{String => OperatingPoint::Result}] key states that are known already
        def initialize(circuit, switching: Switching.new(circuit), opened: [], network: circuit.network, results: {})
          @circuit = circuit
          @switching = switching
          @opened = opened
          @network = network
          @results = results
        end

        # @param key_state [String]
        # @return [OperatingPoint::Result]
        # @raise [UnknownKeyError] if the sheet has no such key state
        def fetch(key_state)
          @results[key_state] ||= begin
            names = circuit.sheet.states.keys
            at = names.index(key_state) or raise UnknownKeyError, "sheet #{circuit.sheet.key} has no key state #{key_state}"
            at.zero? ? settle(key_state, Positions.rest) : carry_on(key_state, fetch(names[at - 1]))
          end
        end

        # @return [Hash{String => OperatingPoint::Result}] by key state, in order
        def all = circuit.sheet.states.keys.to_h { |state| [state, fetch(state)] }

        # The same machine with an item opened.
        #
        # @param item [Circuit::Item]
        # @param from_state [Integer] place of the first key state in which it matters; earlier ones are taken over
        # @return [SettledStates]
        def opening(item, from_state: 0)
          taken_over = circuit.sheet.states.keys.first(from_state).to_h { |state| [state, fetch(state)] }
          SettledStates.new(circuit, switching: switching, opened: opened | item.branches, network: @network, results: taken_over)
        end

        # From one key state straight into another, whatever lies between them on the sheet: a key turned off, a button pressed.
        #
        # @param from [String] key state
        # @param to [String] key state
        # @param opening [Array<Integer>] branches that are opened meanwhile
        # @return [SettledStates] that knows the state it went to alone
        # @raise [UnknownKeyError] if the sheet has no such key state
        def moved(from:, to:, opening: [])
          previous = fetch(from)
          circuit.sheet.states.key?(to) or raise UnknownKeyError, "sheet #{circuit.sheet.key} has no key state #{to}"
          there = { switching: switching, opened: opened | opening, network: @network }
          SettledStates.new(circuit, **there, results: { to => SettledStates.new(circuit, **there).carry_on(to, previous) })
        end

        # One of its states, for a circuit that differs in nothing but what its key states close.
        #
        # @param like [Circuit] the same branch for branch
        # @param key_state [String] that is taken over
        # @return [SettledStates] that works out the others on that circuit
        def on(like, key_state)
          extra = @network.branches.drop(circuit.network.branches.size)
          SettledStates.new(like, opened: opened, network: like.network_with(extra), results: { key_state => fetch(key_state) })
        end

        # More outcomes than this of one state are not told apart.
        MOST_OUTCOMES = 8

        protected

        # What might have happened in the state before may hold on in this one: a relay that perhaps pulled in perhaps holds itself.
        def carry_on(key_state, previous)
          result = settle(key_state, previous.positions)
          return result if previous.others.empty?

          others = previous.others.flat_map { |other| settle(key_state, other.positions).then { |one| [one, *one.others] } }
          differing = (result.others + others).reject { |other| stands_like?(other, result) }
          result.others = differing.uniq { |other| stand(other) }.first(MOST_OUTCOMES)
          result.uncertain |= differing.flat_map { |other| (stand(other) - stand(result)) | (stand(result) - stand(other)) }
          result
        end

        private

        def settle(key_state, before)
          OperatingPoint.new(circuit, key_state, switching: switching, before: before, opened: opened, network: @network).call
        end

        def stand(result) = result.positions.energised.sort + result.positions.blown.sort
        def stands_like?(one, other) = stand(one) == stand(other)
      end
    end
  end
end
