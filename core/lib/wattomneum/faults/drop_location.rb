# frozen_string_literal: true

module Wattomneum
  module Faults
    # Where along a failing path the volts are lost: which stretch to measure next, and which is convicted.
    class DropLocation
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

      # The stretch most worth measuring: likeliest cause for the least time.
      #
      # @return [Readings::TestDefinition, nil] nil when all are measured
      def next_stretch
        open = stretches.reject { |test| @assessment.reading(test.key) }
        open.max_by do |test|
          element = Systems::Places.element(test.element)
          element.base_rate.to_f / test.minutes
        end
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
    end
  end
end
