# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What stays live with the isolator open or a fuse out. An open isolator is not a dead machine: each of these is a hazard, and
      # the reading to expect there.
      class LiveTerminals
        Live = Struct.new(:pin, :volt, :part, :path, keyword_init: true)
        # Less than this share of the system is no longer called live (common practice: 1 V of 12).
        LIVE_RATIO = 0.08

        # @param settled [Solving::SettledStates] the sound machine
        def initialize(settled)
          @settled = settled
          @circuit = settled.circuit
        end

        # @param item [Circuit::Item, nil] what is opened; nil for the machine as it stands in that state
        # @param key_state [String]
        # @return [Array<Live>] component by component, with the way each is fed
        # @raise [UnknownKeyError] if the sheet has no such key state
        def with(item, key_state:)
          result = (item ? @settled.opening(item) : @settled).fetch(key_state)
          paths = PathFinder.new(@circuit, result)
          @circuit.sheet.parts.flat_map do |part|
            part.pins.map { |pin| part.node(pin) }.filter_map { |node| live(node, part, result.solution, paths) }
          end
        end

        private

        def live(name, part, solution, paths)
          node = @circuit.node(name)
          return if solution.floating?(node)

          volt = solution.volt(node)
          return if volt.abs < LIVE_RATIO * @circuit.sheet.system_volt

          Live.new(pin: name, volt: volt, part: part, path: paths.to_supply(name))
        end
      end
    end
  end
end
