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
        # @param extra [Array<Network::Branch>] instruments that hang on throughout
        # @param results [Hash{String => OperatingPoint::Result}] key states that are known already
        def initialize(circuit, switching: Switching.new(circuit), opened: [], extra: [], results: {})
          @circuit = circuit
          @switching = switching
          @opened = opened
          @extra = extra
          @results = results
        end

        # @param key_state [String]
        # @return [OperatingPoint::Result]
        # @raise [UnknownKeyError] if the sheet has no such key state
        def fetch(key_state)
          @results[key_state] ||= begin
            names = circuit.sheet.states.keys
            at = names.index(key_state) or raise UnknownKeyError, "sheet #{circuit.sheet.key} has no key state #{key_state}"
            before = at.zero? ? Positions.rest : fetch(names[at - 1]).positions
            OperatingPoint.new(circuit, key_state, switching: switching, before: before, opened: opened, extra: @extra).call
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
          SettledStates.new(circuit, switching: switching, opened: opened | item.branches, extra: @extra, results: taken_over)
        end
      end
    end
  end
end
