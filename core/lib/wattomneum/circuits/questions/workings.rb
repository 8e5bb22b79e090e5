# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What works and what every signal reads, in every key state of one settled machine.
      class Workings
        # A signal that moves by this share of its reading, or by this many volts, has been disturbed (common practice).
        MOVES_VOLT = Parts::ControlUnit::SIGNAL_MOVES_VOLT

        # @param settled [Solving::SettledStates]
        def initialize(settled)
          @settled = settled
          @circuit = settled.circuit
        end

        # @param watch [Watch]
        # @param key_state [String]
        # @return [Float] volts across it
        def volt(watch, key_state)
          solution = @settled.fetch(key_state).solution
          from = @circuit.node(watch.from)
          to = @circuit.node(watch.to)
          solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0
        end

        # @param watch [Watch]
        # @param key_state [String]
        # @return [Boolean] whether it has its volts and its own element is whole: an open coil has them all and does not click; a relay that has
        #   pulled in is held by fewer
        def works?(watch, key_state) = conducts?(watch, key_state) && (held?(watch, key_state) || watch.works_at?(volt(watch, key_state)))

        # @param watch [Watch]
        # @param key_state [String]
        # @param sound [Workings] the machine without the fault
        # @return [Symbol, nil] :dead (it should and does not), :alive (it should not and does), :moved (a signal, or volts that
        #   differ by a tenth of the system while it still works); nil where nothing changed
        def change(watch, key_state, sound)
          now = volt(watch, key_state)
          before = sound.volt(watch, key_state)
          return ((now - before).abs > MOVES_VOLT ? :moved : nil) if watch.signal?

          worked = sound.works?(watch, key_state)
          return worked ? :dead : :alive if worked != works?(watch, key_state)

          :moved if (now - before).abs > @circuit.sheet.system_volt / 10.0 && conducts?(watch, key_state)
        end

        # @param watch [Watch]
        # @param key_state [String]
        # @return [Boolean] false where its own element is open, or not switched on
        def conducts?(watch, key_state)
          element = @circuit.element(watch)
          element.nil? || @settled.fetch(key_state).solution.conducting[element]
        end

        private

        def held?(watch, key_state) = watch.kind == 'relay' && @settled.fetch(key_state).positions.energised.include?(watch.key)
      end
    end
  end
end
