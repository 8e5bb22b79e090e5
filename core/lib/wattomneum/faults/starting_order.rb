# frozen_string_literal: true

module Wattomneum
  module Faults
    # The order of work behind a starting complaint, once the batteries are known.
    class StartingOrder
      WHOLE_PATHS = Readings::Catalogue::START_SIDES
      POSTS = %w[posts_rest posts_cranking].freeze
      private_constant :WHOLE_PATHS, :POSTS

      # @param behaviour [String, nil] what the engine does when it is cranked
      # @return [Array<String>] keys of the tests that it asks for in a crank, in order
      def self.tests_of(behaviour)
        at_the_key = Acts.of('starting', 'at_the_key', where: behaviour)
        ((at_the_key.empty? ? POSTS : at_the_key) + Acts.of('starting', 'in_order', where: behaviour)).uniq
      end

      # @param assessment [Assessment]
      # @param steps [NextStep] makes the steps
      def initialize(assessment, steps)
        @assessment = assessment
        @steps = steps
      end

      # Evidence in hand goes first: what fails at the key is measured there, in one go, and followed as soon as one side fails.
      #
      # @return [Step, nil]
      def in_hand
        return if at_the_key.empty? || dead_bank?

        found = locate || signal_side
        return found if found

        key = at_the_key.find { |test| assessment.reading(test).nil? }
        return steps.measure(key, why: 'It fails now: posts, stud and case in one go, before batteries are taken apart') if key

        inside.call
      end

      # @return [Step, nil]
      def call = posts || inside.call || weak_bank || locate || signal_side || flow_unknown || by_behaviour || inside_the_starter

      private

      attr_reader :assessment, :steps

      def inside = @inside ||= BankInside.new(assessment, steps)
      def behaviour = assessment.reading('cranking_behaviour').observation

      # The clamp belongs to it where current flows, and where the posts fall.
      def at_the_key
        keys = Acts.of('starting', 'at_the_key', where: behaviour)
        assessment.judgement('posts_cranking')&.act? && keys.any? ? (POSTS + ['cranking_current'] + keys).uniq : keys
      end

      # Every test of the path would be void: charge first.
      def dead_bank?
        return false unless assessment.system.lead_acid?

        rest = assessment.reading('posts_rest') or return false
        rest.value / assessment.system.blocks_in_series < assessment.limits.fetch('battery.crank_least').value
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
        WHOLE_PATHS.each do |key|
          next unless assessment.judgement(key)&.act?

          step = along(key)
          return step if step
        end
        nil
      end

      # On the unit's circuit, joint by joint.
      def along(key)
        whole = Readings::Catalogue.fetch(key).probe(assessment.machine.sheet) or return
        search = Paths::DropSearch.new(assessment.paths, whole)
        probe = search.next_probe
        return steps.between(probe, why: halves(search)) if probe

        piece = steps.piece_again(search, key)
        return piece if piece
        return unless search.misfit? && once?(key)

        Step.new(kind: 'repeat', test_key: key, minutes: 4, title: 'Repeat the whole drop',
                 why: 'No part of it explains it: a reading may be wrong, or it comes and goes')
      end

      # The signal is fed from where the starter is: while that feed fails, relays let go and a low signal says nothing of key, interlocks
      # and relay. Else the signal side is a path like any other.
      def signal_side
        return unless assessment.judgement('solenoid_signal')&.act? && !assessment.judgement('posts_cranking')&.act?
        return steps.measure('positive_drop', why: SHARED_FEED) if assessment.reading('positive_drop').nil?

        coil = solenoid_coil
        steps.down([coil], 'cranking') if coil && !assessment.judgement('positive_drop').act?
      end

      SHARED_FEED = 'A low signal with a failing feed is the feed: which of them is it?'
      private_constant :SHARED_FEED

      # Silent though it is called: volts across its own coil. Slow, or a click, though feed and ground are whole: the drop across its own
      # contact, from the stud to the motor.
      def inside_the_starter
        return if at_the_key.empty?

        coil = solenoid_coil or return
        probe = behaviour == 'silent' ? Paths::Probes.across(coil, 'cranking') : contact_of(coil)
        return lost_at_the_coil(probe, coil) if probe && assessment.paths.reading(probe)
        return if probe.nil? || WHOLE_PATHS.any? { |key| assessment.judgement(key)&.act? }

        steps.between(probe, why: 'All that leads to it is whole: what does the starter make of it?')
      end

      # Called, and its coil lacks volts all the same: along its own feed and return.
      def lost_at_the_coil(probe, coil)
        steps.down([coil], 'cranking') if behaviour == 'silent' && assessment.paths.judgement(probe).act?
      end

      def contact_of(coil)
        solenoid = assessment.machine.sheet.part(coil.part_id)
        stud = assessment.machine.sheet.places['starter_stud']
        motor = %w[30 87].map { |pin| solenoid.node(pin) }.find { |node| node != stud } if solenoid.is_a?(Circuits::Parts::Relay)
        motor && Readings::Probe.new(by: 'volts', from: stud, to: motor, situation: 'cranking')
      end

      def solenoid_coil
        node = assessment.machine.sheet.places['solenoid_terminal']
        assessment.machine.consumers.all.find { |one| [one.from, one.to].include?(node) }
      end

      def halves(search) = "#{Quantities::Figure.volt(search.unexplained_volt)} is lost between #{search.words}: this splits it best"

      def once?(test_key) = assessment.times(test_key) == 1

      # Where other loads pull the posts down too, their sag says nothing of what the starter takes.
      def flow_unknown
        return unless assessment.judgement('starter_terminal')&.code == 'starter.current_unknown' && steps.open?('cranking_current')

        steps.measure('cranking_current', why: 'Full volts across the starter: does any current flow?')
      end

      # What was never taken first, then what was taken once and could not be used.
      def by_behaviour
        keys = Acts.of('starting', 'in_order', where: behaviour)
        key = keys.find { |test| assessment.reading(test).nil? } || keys.find { |test| steps.open?(test) && !for_want_of_current?(test) }
        key && steps.measure(key, why: why(key))
      end

      # A small drop behind a starter that draws nothing cannot be had better before it is mended.
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
