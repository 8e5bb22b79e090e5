# frozen_string_literal: true

module Wattomneum
  module Faults
    # What the engine did in the moment of a reading, where the complaint is about starting. A start that comes and goes leaves signal and full
    # volts behind whenever it is gone: held together with an engine that stood in another moment they condemn a good starter. What was read
    # while it cranked tells nothing of why it does not.
    class EngineMeanwhile
      KEY = 'engine_meanwhile'
      CRANKS = 'cranks'
      FAILS = ['does not turn', 'slow'].freeze
      # What it does when it is called and nothing is wrong with how it cranks.
      STARTS = %w[normal starts_and_dies].freeze
      # As often as this it cranked, one try after another: it does not fail now (ours).
      MOST_IN_VAIN = 6
      AGAIN = 'Read while it cranked: once more when it fails. Wiggle the loom, try it warm and wet, and say what the engine does meanwhile'
      private_constant :CRANKS, :FAILS, :STARTS, :MOST_IN_VAIN, :AGAIN

      # @param symptom [Jobs::Symptom]
      # @param readings [Array<Readings::Reading, Readings::PointReading>] all that stand
      # @param round [Integer] how many repairs have been made
      def initialize(symptom:, readings:, round:)
        @symptom = symptom
        @by_round = about_starting? ? readings.select { |one| told_by?(one) }.sort_by(&:taken_at).group_by(&:round) : {}
        @round = round
      end

      # @return [String] key of the condition that it is said by
      def key = KEY

      # @param probe [Readings::Probe]
      # @return [Boolean] whether it is asked beside a reading between these points
      def asked?(probe) = about_starting? && cranked?(probe)

      # @param reading [Readings::Reading, Readings::PointReading]
      # @return [Boolean] whether it tells why the engine does not start
      def counts?(reading)
        return true unless told_by?(reading) && failed?(reading.round) && goes?(reading.round)

        reading.is_a?(Readings::Reading) && reading.test.observation? ? fails?(reading) : FAILS.include?(said(reading))
      end

      # @param reading [Readings::Reading, Readings::PointReading]
      # @return [Boolean] whether the engine was seen to fail in that very moment
      def of_one_moment?(reading) = !about_starting? || !told_by?(reading) || FAILS.include?(said(reading))

      # @param asked [Readings::Probe, String] between two points, or the key of a test
      # @return [String, nil] why it is asked for again, where it was read while the engine cranked
      def again(asked)
        now = in_round.select { |one| asked.is_a?(String) ? one.is_a?(Readings::Reading) && one.test_key == asked : alike?(one, asked) }
        AGAIN if now.any? && now.none? { |one| counts?(one) }
      end

      # @return [Boolean] whether it has cranked so often running that it does not fail now
      def in_vain?
        last = in_round.last(MOST_IN_VAIN)
        (@round.zero? || failed?(@round)) && goes?(@round) && last.size == MOST_IN_VAIN && last.all? { |one| works?(one) }
      end

      # @return [Boolean] whether it cranks now, is said to come and go, and was not yet seen to fail
      def waited_for? = @round.zero? && @symptom.seen == 'comes_and_goes' && in_round.any? && !failed?(@round)

      # @return [Boolean] whether the complaint is about starting
      def about_starting? = @symptom.work == 'starting' && !@symptom.stays_on?

      # @return [Boolean] whether it comes and goes: said at the intake, or seen, it failed and it cranked between two repairs
      def goes?(round = @round)
        about_starting? && (@symptom.seen == 'comes_and_goes' || (failed?(round) && @by_round.fetch(round).any? { |one| works?(one) }))
      end

      private

      def in_round = @by_round.fetch(@round, [])
      def said(reading) = reading.conditions.word(KEY)

      def told_by?(reading)
        reading.is_a?(Readings::Reading) ? reading.test.loop == 'start' && reading.state == 'cranking' : cranked?(reading.probe)
      end

      def cranked?(probe) = probe.situation == 'cranking' && %w[volts current].include?(probe.by) && probe.opened.empty?
      def alike?(reading, probe) = reading.is_a?(Readings::PointReading) && reading.probe.alike?(probe)
      def observed(reading) = reading.is_a?(Readings::Reading) ? reading.observation : nil
      def works?(reading) = STARTS.include?(observed(reading)) || said(reading) == CRANKS
      def fails?(reading) = FAILS.include?(said(reading)) || (observed(reading) && !STARTS.include?(observed(reading)))
      def failed?(round) = @by_round.fetch(round, []).any? { |one| fails?(one) }
    end
  end
end
