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
        # @param meter_ohm [Float] of a meter held to what nothing draws from
        def initialize(settled, meter_ohm: Limits::Table.shipped.fetch('evidence.meter_input').value)
          @settled = settled
          @circuit = settled.circuit
          @meter_ohm = meter_ohm
        end

        # @param item [Circuit::Item, nil] what is opened; nil for the machine as it stands in that state
        # @param key_state [String]
        # @return [Array<Live>] component by component, with the way each is fed
        # @raise [UnknownKeyError] if the sheet has no such key state
        def with(item, key_state:)
          settled = item ? @settled.opening(item) : @settled
          result = settled.fetch(key_state)
          volts = volts_of(settled, key_state)
          paths = PathFinder.new(@circuit, result)
          @circuit.sheet.parts.flat_map do |part|
            part.pins.map { |pin| part.node(pin) }.filter_map { |node| live(node, part, volts, paths) }
          end
        end

        private

        def live(name, part, volts, paths)
          volt = volts.call(@circuit.node(name))
          return if volt.nil? || volt.abs < LIVE_RATIO * @circuit.sheet.system_volt

          Live.new(pin: name, volt: volt, part: part, path: paths.to_supply(name))
        end

        # Behind a diode that nothing draws through there are no volts by themselves; a meter, or a hand, draws a little, and then there are.
        def volts_of(settled, key_state)
          solution = settled.fetch(key_state).solution
          ends = diodes.flat_map { |branch| [branch.from, branch.to] }.select { |node| solution.floating?(node) }
          metered = {}
          lambda do |node|
            return solution.volt(node) unless solution.floating?(node)

            reached = ends.find { |one| solution.connected?(one, node) } or return
            metered[reached] ||= with_meter(settled, key_state, reached)
          end
        end

        def diodes
          @diodes ||= @circuit.owned.each_with_index.filter_map { |owned, index| @circuit.network.branches[index] if owned.part.is_a?(Parts::Diode) }
        end

        def with_meter(settled, key_state, node)
          meter = Solving::Network::Branch.new(from: node, to: 0, ohm: @meter_ohm, volt: 0.0)
          metered = Solving::SettledStates.new(@circuit, opened: settled.opened, network: @circuit.network_with([meter]))
          metered.fetch(key_state).solution.volt(node)
        end
      end
    end
  end
end
