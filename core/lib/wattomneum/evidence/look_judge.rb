# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What eyes and hands found. A clean look is a hint; a bad one is a reason to measure before mending.
    class LookJudge < Judge
      # @return [Judgement]
      def call
        return clean if reading.observation == 'clean'

        finding('look.bad', 'act', said: { seen: reading.spoken },
                  weight: 'support', rules_in: ["#{test.short}: #{reading.spoken.downcase}"],
                  convicts: test.key == 'belt_look' ? ['belt'] : [])
      end

      private

      def clean
        belt = test.key == 'belt_look'
        finding(belt ? 'look.belt' : 'look.clean', 'sound',
                weight: 'hint', clears: belt ? ['belt'] : [], rules_out: belt ? ['Slipping belt'] : [])
      end
    end
  end
end
