# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What eyes and ears tell of something that should work in this state.
      class SeenJudge < Judge
        # @return [Judgement]
        def call
          return uncalled unless circumstances.sound(probe).observation == 'works'
          return finding('seen.works', 'sound', said: said, rules_out: ['The complaint, as long as it lasts']) if reading.observation == 'works'

          finding("seen.#{reading.observation}", 'act', said: said, rules_in: ["What #{label} needs, or itself"])
        end

        private

        # Off in this state by its circuit.
        def uncalled
          return finding('seen.off', 'sound', said: said) if reading.observation == 'dead'

          finding('seen.stays_on', 'act', said: said, rules_in: ["What switches #{label}, or a feed past it"])
        end

        def said = { load: label }

        def label = machine.circuit.watch_of(probe.from)&.label || short(probe.from)
      end
    end
  end
end
