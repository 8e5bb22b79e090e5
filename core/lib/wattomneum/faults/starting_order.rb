# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a starting complaint, once the batteries are known.
    class StartingOrder
      # Tests by what the engine does when cranked (common practice).
      BY_BEHAVIOUR = {
        'silent' => %w[solenoid_signal starter_terminal ground_drop positive_drop engine_by_hand],
        'slow' => %w[cranking_current ground_drop positive_drop solenoid_signal engine_by_hand],
        'jerk' => %w[engine_by_hand cranking_current ground_drop positive_drop solenoid_signal],
        'spins_free' => %w[cranking_current solenoid_signal ground_drop positive_drop engine_by_hand],
        'normal' => %w[charging_fast_idle]
      }.freeze
      OTHERWISE = %w[ground_drop positive_drop solenoid_signal starter_terminal engine_by_hand].freeze
      private_constant :BY_BEHAVIOUR, :OTHERWISE

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # @return [Step, nil]
      def call
        posts || weak_bank || locate || by_behaviour || condemn_by_elimination
      end

      private

      attr_reader :assessment, :steps

      def behaviour = assessment.reading('cranking_behaviour').observation

      def posts
        missing = %w[posts_rest posts_cranking].find { |key| assessment.reading(key).nil? }
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

        position = assessment.system.positions.find { |one| assessment.reading('load_test', position: one).nil? }
        position && steps.measure('load_test', position: position,
                                               why: 'The posts fall though the tester was content: load each battery')
      end

      def drags
        return if assessment.reading('engine_by_hand')

        steps.measure('engine_by_hand', why: 'Volts low and amperes high: turning it by hand decides')
      end

      def locate
        %w[ground_drop positive_drop].each do |key|
          next unless assessment.judgement(key)&.act?

          return stretch(DropLocation.new(key, assessment))
        end
        nil
      end

      def stretch(location)
        test = location.next_stretch
        if test
          return steps.measure(test.key, why: "#{Quantities::Figure.volt(location.unexplained_volt)} of the drop is not " \
                                              'placed yet: likeliest and quickest first')
        end
        Step.new(kind: 'repeat', test_key: location.stretches.first.part_of, minutes: 4,
                 title: 'Repeat the whole drop',
                 why: 'No stretch explains it: a reading may be wrong, or it comes and goes')
      end

      def by_behaviour
        keys = BY_BEHAVIOUR.fetch(behaviour, OTHERWISE)
        key = keys.find { |test| assessment.reading(test).nil? }
        key && steps.measure(key, why: why(key))
      end

      def why(key)
        case key
        when 'ground_drop', 'positive_drop' then 'Feed, ground and signal part what looks and sounds alike'
        when 'engine_by_hand' then 'No starter is condemned on an engine nobody turned'
        when 'charging_fast_idle' then 'It cranks: see that it charges'
        else 'Next in the order of work'
        end
      end

      def condemn_by_elimination
        ladder = assessment.ladders.find { |one| one.suspect == 'starter' }
        return unless ladder.complete? && behaviour != 'normal'

        seen = assessment.reading('cranking_behaviour')
        Step.new(kind: 'condemn', element: 'starter', minutes: Systems::Places.element('starter').access_minutes,
                 failing_reading_id: seen.id, title: 'Starter with solenoid: proved by elimination',
                 why: 'Feed, ground, signal, batteries and engine are all proved good')
      end
    end
  end
end
