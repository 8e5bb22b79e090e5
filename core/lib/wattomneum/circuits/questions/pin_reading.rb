# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What a meter should show at a pin, key state by key state, plugged and with the plug off.
      class PinReading
        # loaded_volt: as it stands, meter on it; unloaded_volt: its own component unplugged, nil where there is no plug to pull;
        # floating: nothing leads there, so the meter shows next to nothing; outcomes: volts it may have instead where a relay is
        # near its threshold; chattering: what does not come to rest
        Expected = Struct.new(:key_state, :loaded_volt, :floating, :unloaded_volt, :unloaded_floating, :outcomes, :chattering,
                              keyword_init: true)

        # @return [Float] ohm of the meter that reads
        attr_reader :meter_ohm

        # @param settled [Solving::SettledStates] the sound machine
        # @param meter_ohm [Float]
        def initialize(settled, meter_ohm: Limits::Table.shipped.fetch('evidence.meter_input').value)
          @settled = settled
          @circuit = settled.circuit
          @meter_ohm = meter_ohm
        end

        # @param pin [String]
        # @return [Array<Expected>] one a key state
        # @raise [UnknownKeyError]
        def at(pin)
          node = @circuit.node(pin)
          plugged = read(node, [])
          apart = pulled(pin) && read(node, pulled(pin))
          @circuit.sheet.states.keys.map do |state|
            volt, floating, result = plugged.call(state)
            unloaded_volt, unloaded_floating = apart&.call(state)
            Expected.new(key_state: state, loaded_volt: volt, floating: floating, unloaded_volt: unloaded_volt,
                         unloaded_floating: unloaded_floating, chattering: result.chattering,
                         outcomes: result.others.map { |other| other.solution.volt(node) })
          end
        end

        private

        # The meter is a part of the circuit it reads; whether anything else leads there is asked without it.
        def read(node, opened)
          metered = Solving::SettledStates.new(@circuit, opened: opened, network: @circuit.network_with(meter(node)))
          bare = opened.empty? ? @settled : Solving::SettledStates.new(@circuit, switching: @settled.switching, opened: opened)
          lambda do |state|
            result = metered.fetch(state)
            [result.solution.volt(node), bare.fetch(state).solution.floating?(node), result]
          end
        end

        def meter(node) = node.zero? ? [] : [Solving::Network::Branch.new(from: node, to: 0, ohm: @meter_ohm, volt: 0.0)]

        # Branches inside the component that the pin belongs to; joints, plugs and metal have none to pull.
        def pulled(pin)
          part = @circuit.sheet.part(pin.split(':', 2).first)
          return if part.nil? || part.shares_pins? || part.is_a?(Parts::Connector)

          @circuit.inside(part)
        end
      end
    end
  end
end
