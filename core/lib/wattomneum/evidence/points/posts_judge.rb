# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Volts of the posts, as the ground that every other reading of the same state stands on: high enough for them, or not. How good the
      # batteries are is for their own tests to say.
      class PostsJudge < Judge
        # @return [Judgement]
        def call
          return of_another_kind unless circumstances.system.lead_acid?

          least = least_volt
          sum("#{reading.spoken} against #{Figure.volt(least)}")
          return flat if value < least - MeterError.volt(value)

          finding('posts.hold', 'sound', said: { volt: reading.spoken }, figures: { posts_volt: value })
        end

        WHY = 'Batteries flat, or a clamp that lets go'
        private_constant :WHY

        private

        def least_volt
          at_rest = limit('battery.crank_least') * machine.sheet.system_volt / 12.0
          return at_rest unless cranks?(at_rest)

          @limits_used.clear
          limit('cranking.posts_least')
        end

        # By its state, or because a sound circuit draws them down so far in it: a start button of its own name.
        def cranks?(at_rest)
          Circuits::Situations.on(machine.sheet, probe.situation).engine == 'cranking' || circumstances.sound_posts_volt(reading) < at_rest
        end

        def of_another_kind
          finding('posts.other_kind', 'unproven', said: { volt: reading.spoken }, figures: { posts_volt: value }, weight: 'none')
        end

        def flat
          finding('posts.flat', 'act', said: { volt: reading.spoken }, figures: { posts_volt: value }, rules_in: [WHY],
                                       instead: 'Charge, look at the clamps, and read the posts again')
        end
      end
    end
  end
end
