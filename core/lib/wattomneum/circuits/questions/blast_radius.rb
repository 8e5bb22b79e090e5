# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What changes when something opens: which loads fall dead, which signals move, in which key state.
      class BlastRadius
        # One effect: watch, key state, change (see Workings#change), volts before and after.
        Effect = Struct.new(:watch, :key_state, :change, :before_volt, :after_volt, keyword_init: true)
        # Less current than this through a branch, and opening it changes nothing that works: at most an idle end is left hanging.
        CARRIES_AMPERE = 1e-10

        # @param settled [Solving::SettledStates] the sound machine
        def initialize(settled)
          @settled = settled
          @circuit = settled.circuit
          @sound = Workings.new(settled)
          @runs = SeriesRuns.new(@circuit)
          @effects = {}
        end

        # @param item [Circuit::Item]
        # @return [Array<Effect>] in the order of states, then of the sheet
        def of(item) = @effects[@runs.of(item.branches)] ||= find(item).freeze

        private

        def states = @circuit.sheet.states.keys

        # States before the first in which the item carries current stay as they are.
        def find(item)
          Effort.spend!(@circuit.watches.size * states.size)
          first = states.index { |state| carries?(item, state) }
          return [] if first.nil?

          broken = @settled.opening(item, from_state: first)
          workings = Workings.new(broken)
          states.drop(first).flat_map { |state| effects(workings, state) }
        end

        # At rest or on the way there.
        def carries?(item, state)
          @settled.fetch(state).on_the_way.any? do |solution|
            item.branches.any? { |index| solution.current(index).abs > CARRIES_AMPERE }
          end
        end

        def effects(workings, state)
          @circuit.watches.filter_map do |watch|
            change = workings.change(watch, state, @sound) or next
            Effect.new(watch: watch, key_state: state, change: change, before_volt: @sound.volt(watch, state),
                       after_volt: workings.volt(watch, state))
          end
        end
      end
    end
  end
end
