# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # A test lamp between two points: dark where it should be bright convicts; bright clears what a lamp can see, ohms and not milliohms.
      class LampJudge < Judge
        LAMP_WATT = 21.0
        private_constant :LAMP_WATT

        # @return [Judgement]
        def call
          expected = circumstances.sound(probe).observation
          return hint(expected, false) unless agrees?(expected) || lost?(expected)
          return finding("lamp.#{reading.observation}", 'act', said: said, rules_in: ["Feed or ground of #{short(probe.from)}"]) if lost?(expected)

          finding("lamp.#{reading.observation}", 'sound', said: said, weight: 'hint', traps: [can_not_see])
        end

        private

        def said = { path: "#{short(probe.from)} to #{short(probe.to)}" }
        def agrees?(expected) = reading.observation == expected
        def lost?(expected) = expected == 'bright' && reading.observation != 'bright'

        def can_not_see
          ohm = LoadAdequacy.smallest_revealed_ohm(supply_volt: machine.sheet.system_volt, load_ampere: LAMP_WATT / machine.sheet.system_volt)
          "A lamp sees #{Figure.ohm(ohm)} and more: less than that hides from it"
        end
      end
    end
  end
end
