# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # What the complaint's own thing did in the moment of a reading. Volts read while a fault that comes and goes had gone convict a good
      # part: "it has its volts and does nothing" has to be of one moment, and what was read while it worked tells nothing of why it fails.
      class Meanwhile
        KEY = 'meanwhile'
        WORKS = 'works'
        FAILS = %w[dead weak].freeze
        # As often as this it was read while it worked, one after another: it does not fail now (ours).
        MOST_IN_VAIN = 6
        AGAIN = 'Read while it worked, or nobody looked: once more when it fails. Wiggle the loom on its way, and say what it does meanwhile'
        private_constant :AGAIN, :WORKS, :FAILS, :MOST_IN_VAIN

        # @param kase [Case]
        def initialize(kase)
          @case = kase
        end

        # @return [String] key of the condition that it is said by
        def key = KEY

        # @param probe [Readings::Probe]
        # @return [Boolean] whether it is asked beside a reading between these points: where it is straight across something that it needs, where
        #   a reading is taken again, and everywhere once it comes and goes
        def asked?(probe)
          about?(probe) && (goes? || @case.times(probe).positive? || across?(probe))
        end

        # @return [Boolean] whether it comes and goes: said at the intake, or seen between two readings
        def goes? = @goes ||= about_a_part? && (@case.symptom.seen == 'comes_and_goes' || (failed? && in_round.any? { |one| said(one) == WORKS }))

        # @param reading [Readings::PointReading]
        # @return [Boolean] whether it tells why it fails
        def counts?(reading)
          return true unless reading.round == @case.round && about?(reading.probe) && failed?

          !goes? || FAILS.include?(said(reading))
        end

        # @param reading [Readings::PointReading]
        # @return [Boolean] whether it was seen to fail in that very moment
        def of_one_moment?(reading) = !about?(reading.probe) || FAILS.include?(said(reading))

        # @param probe [Readings::Probe]
        # @return [String, nil] why it is asked for again, where it was read while it worked, or nobody looked
        def again(probe)
          AGAIN if goes? && about?(probe) && @case.reading(probe).nil? && @case.times(probe).positive?
        end

        # @return [Boolean] whether it was read in vain too often: it works now
        def in_vain?
          last = in_round.select { |one| about?(one.probe) }.last(MOST_IN_VAIN)
          goes? && last.size == MOST_IN_VAIN && last.all? { |one| said(one) == WORKS }
        end

        # @return [Boolean] whether it is worth trying again, where it works now
        def waited_for? = goes? && @case.times(@case.seen_probe) < MOST_IN_VAIN

        private

        def said(reading) = reading.conditions.word(KEY)
        def in_round = @case.readings.select { |one| one.round == @case.round }

        def about_a_part?
          return @about_a_part if defined?(@about_a_part)

          part = @case.part
          @about_a_part = !part.nil? && !@case.symptom.stays_on? && !@case.magneto? && @case.machine.consumers.needed(part).any?
        end

        # What tells of it is read in the complaint's own state, with nothing off.
        def about?(probe)
          about_a_part? && probe.by == 'volts' && probe.situation == @case.symptom.situation && probe.opened.empty? &&
            !@case.circumstances.posts?(probe)
        end

        def across?(probe) = !@case.machine.consumers.across(probe.from, probe.to).nil?

        # Seen to fail since the last repair: after one it is meant to work.
        def failed?
          return @failed if defined?(@failed)

          seen = @case.seen_probe
          @failed = in_round.any? { |one| (one.probe.alike?(seen) && one.observation != WORKS) || FAILS.include?(said(one)) }
        end
      end
    end
  end
end
