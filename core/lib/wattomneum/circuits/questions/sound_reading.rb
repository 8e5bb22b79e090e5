# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What an instrument between two points shows on the sound circuit.
      class SoundReading
        # volt, ohm or ampere; over_range for OL; bright for a lamp; works for an eye; nothing: no lead leads anywhere
        Shown = Struct.new(:value, :over_range, :observation, keyword_init: true)

        # @param machine [Machine]
        def initialize(machine)
          @machine = machine
          @circuit = machine.circuit
          @known = {}
        end

        # @param probe [Readings::Probe]
        # @return [Shown]
        # @raise [UnknownKeyError] if the circuit has no such point or state
        # @raise [RefusedError] if the method tells nothing there: ohms with volts across the points
        def call(probe)
          @known.clear if @known.size > MOST_KNOWN
          @known[probe] ||= work_out(probe)
        end

        # So many answers are kept with a machine.
        MOST_KNOWN = 500
        BRIGHT_RATIO = 0.8
        DIM_RATIO = 0.25
        private_constant :MOST_KNOWN, :BRIGHT_RATIO, :DIM_RATIO

        private

        def work_out(probe)
          state = Situations.on(@machine.sheet, probe.situation).sheet_state
          case probe.by
          when 'volts' then Shown.new(value: volts(probe, state))
          when 'ohms' then ohms(probe, state)
          when 'current' then Shown.new(value: ampere(probe, state))
          when 'lamp' then Shown.new(observation: lamp(probe, state))
          else Shown.new(observation: seen(probe, state))
          end
        end

        def volts(probe, state) = instruments(probe).volts(probe.from, probe.to, key_state: state).volt

        def ohms(probe, state)
          shown = instruments(probe).ohms(probe.from, probe.to, key_state: state)
          Shown.new(value: shown.ohm, over_range: shown.over_range)
        end

        # What flows from the first point towards the second.
        def ampere(probe, state)
          path = @machine.paths(state).between(probe.from, probe.to)
          path.steps.first&.ampere.to_f
        end

        def lamp(probe, state)
          ratio = instruments(probe).lamp(probe.from, probe.to, key_state: state).bright_ratio
          return 'bright' if ratio > BRIGHT_RATIO

          ratio > DIM_RATIO ? 'dim' : 'dark'
        end

        def seen(probe, state)
          watch = @circuit.watch_of(probe.from)
          watch && Workings.new(@machine.settled).works?(watch, state) ? 'works' : 'dead'
        end

        def instruments(probe)
          opened = @machine.apart.branches(probe.opened)
          Instruments.new(opened.empty? ? @machine.settled : Solving::SettledStates.new(@circuit, opened: opened))
        end
      end
    end
  end
end
