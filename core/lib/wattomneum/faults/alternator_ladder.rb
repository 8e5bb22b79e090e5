# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of an alternator with its regulator (common practice).
    class AlternatorLadder < ProofLadder
      OUTPUT_TESTS = %w[alternator_output charging_fast_idle charging_loaded].freeze
      private_constant :OUTPUT_TESTS

      # @return [String]
      def suspect = 'alternator'

      private

      def build_rungs
        [batteries_rung,
         sound_rung('connections', 'Connections clean', 'connections_look'),
         sound_rung('belt', 'Belt tight and dry', 'belt_look'),
         sound_rung('output_terminal', 'Output terminal at battery volts, engine stopped', 'output_terminal_stopped'),
         *sense_rung,
         sound_rung('excitation', 'Excitation feed carries a lamp', 'excitation_feed'), *field_rung,
         sound_rung('case', 'Case ground drop', 'alternator_case_drop'),
         output_rung, ripple_rung]
      end

      # Where a regulator stands outside, it and all that it needs are cleared by the volts that it puts across the field.
      def field_rung
        field = assessment.paths&.field or return []
        judgement = assessment.paths.judgement(Paths::Probes.across(field, 'key_on'))
        [rung('field', 'Its field has its volts, key on', []) do
          next ['open', 'Not measured'] if judgement.nil?

          judgement.code == 'load.has_volts' ? ['done', judgement.summary] : ['failed', judgement.summary]
        end]
      end

      def sense_rung
        Readings::Catalogue.fetch('sense_feed').fits?(assessment.system) ? [sound_rung('sense', 'Sense feed carries a lamp', 'sense_feed')] : []
      end

      # An output test that failed, or no rise at all. The height of the voltage alone condemns nothing.
      def output_rung
        rung('output', 'Output seen to fail', OUTPUT_TESTS) do
          found = OUTPUT_TESTS.filter_map { |key| assessment.judgement(key) }.select(&:usable?)
          next ['open', 'Not measured'] if found.empty?

          failing = found.find { |one| one.act? && fails_by_itself?(one) }
          next ['done', failing.summary] if failing

          found.any?(&:act?) ? ['open', 'Its height alone condemns nothing: test the output by clamp'] : ['failed', 'It charges: nothing to condemn']
        end
      end

      def fails_by_itself?(judgement) = judgement.figures.key?(:rise_volt) || judgement.convicts.include?('alternator')

      def ripple_rung
        rung('ripple', 'Ripple read', ['ripple']) do
          judgement = assessment.judgement('ripple')
          judgement&.usable? ? ['done', judgement.summary] : ['open', 'Not measured']
        end
      end
    end
  end
end
