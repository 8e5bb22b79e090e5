# frozen_string_literal: true

module Wattomneum
  module Faults
    # Proof ladder of what charges other than lead and acid, or is no alternator: what serves it on this unit's circuit is proved here; of
    # itself no alternator's test holds, and no reading of this circuit condemns it (handbook, common practice).
    class ChargerLadder < ProofLadder
      OWN = 'No ladder of an alternator holds here: its setpoint and its maker\'s own test decide'
      OF_CONVERTER = 'No test of an alternator holds for a converter: read the volts at its input, then go by its maker\'s own test'
      private_constant :OWN, :OF_CONVERTER

      # @return [String]
      def suspect = 'alternator'

      private

      def build_rungs
        [sound_rung('output_terminal', 'Output terminal at battery volts, stopped', 'output_terminal_stopped'),
         sound_rung('excitation', 'Excitation feed carries a lamp', 'excitation_feed'),
         sound_rung('case', 'Case ground drop', 'alternator_case_drop'),
         rung('own_test', 'Its maker\'s own test', []) { ['open', assessment.system.converter? ? OF_CONVERTER : OWN] }]
      end
    end
  end
end
