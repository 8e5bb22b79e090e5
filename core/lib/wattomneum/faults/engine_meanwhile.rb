# frozen_string_literal: true

module Wattomneum
  module Faults
    # What the engine did in the moment of a reading, where the complaint is about starting. A start that comes and goes leaves signal and full
    # volts behind whenever it is gone: held together with an engine that stood in another moment they condemn a good starter. What was read
    # while it cranked tells nothing of why it does not.
    class EngineMeanwhile
      SAID = Evidence::EngineSaid
      # As often as this it cranked, one try after another: it does not fail now (ours).
      MOST_IN_VAIN = 6
      AGAIN = 'Read while it cranked: once more when it fails. Wiggle the loom, try it warm and wet, and say what the engine does meanwhile'
      private_constant :SAID, :MOST_IN_VAIN, :AGAIN

      # @param symptom [Jobs::Symptom]
      # @param readings [Array<Readings::Reading, Readings::PointReading>] all that stand
      # @param round [Integer] how many repairs have been made
      def initialize(symptom:, readings:, round:)
        @symptom = symptom
        @by_round = about_starting? ? readings.select { |one| told_by?(one) }.sort_by(&:taken_at).group_by(&:round) : {}
        @round = round
      end

      # @return [String] key of the condition that it is said by
      def key = SAID::KEY

      # @param probe [Readings::Probe]
      # @return [Boolean] whether it is asked beside a reading between these points
      def asked?(probe) = about_starting? && cranked?(probe)

      # @param reading [Readings::Reading, Readings::PointReading]
      # @return [Boolean] whether it tells why the engine does not start
      def counts?(reading)
        return true unless told_by?(reading) && failed?(reading.round) && goes?(reading.round)

        fails?(reading)
      end

      # @param reading [Readings::Reading, Readings::PointReading]
      # @return [Boolean] whether the engine was seen to fail in that very moment
      def of_one_moment?(reading) = !about_starting? || !told_by?(reading) || SAID::FAILS.include?(SAID.beside(reading))

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

      # What cranks after it failed, tried for itself, may have been charged meanwhile; what cranked while it was to be found out why it does not,
      # or fails after it cranked, comes and goes.
      #
      # @return [Boolean] whether it comes and goes: said at the intake, or seen so between two repairs
      def goes?(round = @round)
        return false unless about_starting?

        @goes ||= {}
        @goes.fetch(round) { @goes[round] = @symptom.seen == 'comes_and_goes' || seen_to_go?(@by_round.fetch(round, [])) }
      end

      private

      def seen_to_go?(readings)
        telling = readings.select { |one| works?(one) || fails?(one) }
        telling.each_cons(2).any? { |before, after| works?(before) ? fails?(after) : SAID.beside(after) == SAID::CRANKS }
      end

      def in_round = @by_round.fetch(@round, [])

      def told_by?(reading)
        reading.is_a?(Readings::Reading) ? reading.test.loop == 'start' && reading.state == 'cranking' : cranked?(reading.probe)
      end

      def cranked?(probe) = probe.situation == 'cranking' && %w[volts current].include?(probe.by) && probe.opened.empty?
      def alike?(reading, probe) = reading.is_a?(Readings::PointReading) && reading.probe.alike?(probe)
      def did(reading) = SAID.beside(reading) || (reading.is_a?(Readings::Reading) && reading.observation && SAID.of(reading.observation))
      def works?(reading) = did(reading) == SAID::CRANKS
      def fails?(reading) = SAID::FAILS.include?(did(reading))
      def failed?(round) = @by_round.fetch(round, []).any? { |one| fails?(one) }
    end
  end
end
