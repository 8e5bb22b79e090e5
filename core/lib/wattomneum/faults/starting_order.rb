# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a starting complaint, once the batteries are known.
    class StartingOrder
      # Tests by what the engine does when cranked (common practice).
      BY_BEHAVIOUR = {
        'silent' => %w[solenoid_signal positive_drop starter_terminal ground_drop engine_by_hand],
        'slow' => %w[cranking_current ground_drop positive_drop solenoid_signal engine_by_hand],
        'jerk' => %w[engine_by_hand cranking_current ground_drop positive_drop solenoid_signal],
        'normal' => %w[charging_fast_idle], 'starts_and_dies' => %w[charging_fast_idle]
      }.freeze
      OTHERWISE = %w[ground_drop positive_drop solenoid_signal starter_terminal engine_by_hand].freeze
      # Where somebody is at the key already: all of it in one go, before batteries are taken apart.
      POSTS = %w[posts_rest posts_cranking].freeze
      AT_THE_KEY = %w[click slow chatters lamps_die].freeze
      private_constant :BY_BEHAVIOUR, :OTHERWISE, :POSTS, :AT_THE_KEY

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # Evidence in hand goes first: what fails at the key is measured there, in one go.
      #
      # @return [Step, nil]
      def in_hand
        return unless AT_THE_KEY.include?(behaviour) && !dead_bank?

        key = at_the_key.find { |test| assessment.reading(test).nil? }
        return steps.measure(key, why: 'It fails now: posts, stud and case in one go, before batteries are taken apart') if key

        locate
      end

      # @return [Step, nil]
      def call = posts || weak_bank || locate || by_behaviour

      private

      attr_reader :assessment, :steps

      def behaviour = assessment.reading('cranking_behaviour').observation

      # The clamp belongs to it where current flows, and where the posts fall.
      def at_the_key
        clamp = behaviour == 'slow' || assessment.judgement('posts_cranking')&.act?
        [*POSTS, *('cranking_current' if clamp), *DropLocation::WHOLE_PATHS]
      end

      # Every test of the path would be void: charge first.
      def dead_bank?
        rest = assessment.reading('posts_rest') or return false
        rest.value / (assessment.system.series? ? 2 : 1) < assessment.limits.fetch('battery.crank_least').value
      end

      def posts
        missing = POSTS.find { |key| assessment.reading(key).nil? }
        missing && steps.measure(missing, why: 'Rest against cranking: the sag says what flows')
      end

      # Posts that fall with batteries that passed a light test: load each one properly.
      def weak_bank
        return unless assessment.judgement('posts_cranking')&.act?
        if assessment.reading('cranking_current').nil?
          return steps.measure('cranking_current',
                               why: 'The posts fall: amperes tell a weak bank from a locked engine')
        end
        return drags if assessment.judgement('cranking_current').act?

        position = assessment.system.positions.find { |one| steps.open?('load_test', one) }
        position && steps.measure('load_test', position: position,
                                               why: 'The posts fall though the tester was content: load each battery')
      end

      def drags
        return if assessment.reading('engine_by_hand')

        steps.measure('engine_by_hand', why: 'Volts low and amperes high: turning it by hand decides')
      end

      def locate
        DropLocation::WHOLE_PATHS.each do |key|
          next unless assessment.judgement(key)&.act?

          step = stretch(DropLocation.new(key, assessment))
          return step if step
        end
        nil
      end

      def stretch(location)
        test = location.next_stretch
        if test
          return steps.measure(test.key, why: "#{Quantities::Figure.volt(location.unexplained_volt)} of the drop is not " \
                                              'placed yet: likeliest and quickest first')
        end
        return unless location.misfit? && once?(location.whole_key)

        Step.new(kind: 'repeat', test_key: location.whole_key, minutes: 4,
                 title: 'Repeat the whole drop',
                 why: 'No stretch explains it: a reading may be wrong, or it comes and goes')
      end

      def once?(test_key) = assessment.readings.one? { |one| one.test_key == test_key && one.round == assessment.round }

      # What was never taken first, then what was taken once and could not be used.
      def by_behaviour
        keys = BY_BEHAVIOUR.fetch(behaviour, OTHERWISE)
        key = keys.find { |test| assessment.reading(test).nil? } || keys.find { |test| steps.open?(test) && !for_want_of_current?(test) }
        key && steps.measure(key, why: why(key))
      end

      # A small drop behind a starter that draws nothing can not be had better before it is mended.
      def for_want_of_current?(test_key) = assessment.judgement(test_key)&.would_be == 'sound'

      def why(key)
        case key
        when 'ground_drop', 'positive_drop' then 'Feed, ground and signal part what looks and sounds alike'
        when 'engine_by_hand' then 'No starter is condemned on an engine nobody turned'
        when 'charging_fast_idle' then 'It cranks: see that it charges'
        else 'Next in the order of work'
        end
      end
    end
  end
end
