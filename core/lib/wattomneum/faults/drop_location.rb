# frozen_string_literal: true

module Wattomneum
  module Faults
    # Where along a failing path the volts are lost: which stretch to measure next, and which is convicted.
    class DropLocation
      # Tests of a whole side of the start loop, out of which stretches are cut.
      WHOLE_PATHS = %w[ground_drop positive_drop].freeze

      # @return [String] test of the whole path
      attr_reader :whole_key

      # @param whole_key [String] test of the whole path: ground_drop or positive_drop
      # @param assessment [Assessment]
      def initialize(whole_key, assessment)
        @whole_key = whole_key
        @assessment = assessment
      end

      # @return [Array<Readings::TestDefinition>] the stretches of this path on this unit
      def stretches
        Readings::Catalogue.for(@assessment.system).select { |test| test.part_of == @whole_key }
      end

      # One lead stays where it is: a stretch that begins or ends where the last one did takes a minute less (ours).
      ACCESS_MINUTES = 1

      # The stretch whose reading says most for its time: what is not placed yet lies in it or does not.
      #
      # Formula: H(p) / minutes, p the stretch's share of what the open ones are likely to hold. Source: Shannon's entropy of a yes or no.
      #
      # @return [Readings::TestDefinition, nil] nil when all are measured
      def next_stretch
        open = stretches.reject { |test| @assessment.reading(test.key) }
        total = open.sum { |test| rate(test) }
        open.max_by { |test| [Numerics::Entropy.bits(rate(test) / total) / minutes(test), rate(test)] }
      end

      # @return [Float] volts of the whole drop that no measured stretch explains
      def unexplained_volt
        measured = stretches.filter_map { |test| @assessment.reading(test.key)&.value }
        @assessment.reading(@whole_key).value - measured.sum
      end

      # @return [Boolean] the whole is over its limit, every stretch was read, none is
      def misfit?
        next_stretch.nil? && stretches.none? { |test| @assessment.judgement(test.key)&.act? }
      end

      private

      def rate(test) = Systems::Places.element(test.element).base_rate.to_f

      def minutes(test)
        last = @assessment.readings.last&.test
        shared = last && [last.from, last.to].compact.intersect?([test.from, test.to])
        shared ? test.minutes - ACCESS_MINUTES : test.minutes
      end
    end
  end
end
