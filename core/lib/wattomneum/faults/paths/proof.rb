# frozen_string_literal: true

module Wattomneum
  module Faults
    module Paths
      # The proof of a repair of something on the circuit: what it is read from is a Case, its readings are between two points.
      class Proof < Jobs::Proof
        # @return [Boolean]
        def along_circuit? = true

        private

        def same_points?(reading) = reading.probe.alike?(before.probe)
        def named = Words.probe(before.probe, @assessment.machine)
      end
    end
  end
end
