# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What eyes and hands found. A clean look is a hint; a bad one is a reason to measure before mending.
    class LookJudge < Judge
      # @return [Judgement]
      def call
        return clean if reading.observation == 'clean'

        judgement('act', "#{reading.spoken}: measure its drop before mending, so that the cure can be proved",
                  weight: 'support', rules_in: ["#{test.short}: #{reading.spoken.downcase}"],
                  convicts: test.key == 'belt_look' ? ['belt'] : [])
      end

      private

      def clean
        belt = test.key == 'belt_look'
        judgement('sound', belt ? 'Belt looks right' : 'Looks right; a clean face can still hide a bad joint',
                  weight: 'hint', clears: belt ? ['belt'] : [], rules_out: belt ? ['Slipping belt'] : [])
      end
    end
  end
end
