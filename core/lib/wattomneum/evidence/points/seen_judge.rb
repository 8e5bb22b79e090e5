# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # What eyes and ears tell of something that should work in this state.
      class SeenJudge < Judge
        # @return [Judgement]
        def call
          return finding('seen.works', 'sound', said: said, rules_out: ['The complaint, as long as it lasts']) if reading.observation == 'works'
          return finding('seen.not_called', 'unproven', said: said, weight: 'hint') unless circumstances.sound(probe).observation == 'works'

          finding("seen.#{reading.observation}", 'act', said: said, rules_in: ["What #{label} needs, or itself"])
        end

        private

        def said = { load: label }

        def label = machine.circuit.watch_of(probe.from)&.label || short(probe.from)
      end
    end
  end
end
