# frozen_string_literal: true

module Wattomneum
  module Faults
    # What must be known before a source is condemned, rung by rung: the bracket that the readings stand for. It is condemned only from the top.
    class ProofLadder
      # state: done, failed (the fault lies here instead) or open; tests: keys of the tests that would climb it
      Rung = Struct.new(:key, :label, :state, :reason, :tests, :position, keyword_init: true)

      # @return [String] element key of the suspect
      attr_reader :suspect
      # @return [String, nil] battery position of the suspect
      attr_reader :position

      # @param assessment [Assessment]
      # @param suspect [String] starter, alternator or battery
      # @param position [String, nil] of a battery
      # @param row [String] suspect whose brackets hold on this unit
      def initialize(assessment, suspect, position: nil, row: suspect)
        @assessment = assessment
        @suspect = suspect
        @position = position
        @row = row
      end

      # @return [String]
      def label = position ? "Battery #{position}" : Units::Parts.fetch(suspect).label

      # @return [Ladders::Brackets::Bracket] that the readings stand for
      def bracket = @bracket ||= Ladders::Brackets.of(@row, Ladders::Shown.new(@assessment, suspect, position))

      # @return [Array<Rung>]
      def rungs = @rungs ||= Ladders::Rungs.new(@assessment, bracket, position).all

      # @return [Boolean] every rung done: the part may be condemned
      def complete? = rungs.all? { |rung| rung.state == 'done' }

      # @return [Rung, nil] the first rung that is not done
      def missing = rungs.find { |rung| rung.state != 'done' }

      # @return [Boolean] false while nothing at all has been climbed
      def started? = rungs.any? { |rung| rung.state != 'open' }

      # @return [Boolean] whether what speaks against it is a reading of its own, and not that it is what is left
      def signed? = !bracket.sign.nil?

      # @param rung [Rung]
      # @return [Boolean] whether its test was taken, and only what was to be said beside it is missing
      def unsaid?(rung) = Ladders::Rungs::UNSAID.include?(rung.reason)

      # @return [Boolean] whether its own coil convicts it: full volts across it, called, and silent
      def by_its_coil? = bracket.key == 'coil'

      # @return [Readings::Probe, nil] across its coil, where the volts there were not read in the moment that the engine stood
      def coil_once_more
        coil = Ladders::StarterCoil.new(@assessment)
        coil.probe if by_its_coil? && !@assessment.engine.of_one_moment?(coil.reading)
      end
    end
  end
end
