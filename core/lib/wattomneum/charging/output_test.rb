# frozen_string_literal: true

module Wattomneum
  module Charging
    # Alternator output against its rating, and the full-field test of externally regulated machines.
    module OutputTest
      # Source: common practice; pile pulls the system to 13.5 V (27.0), clamp on B+, about 6000 alternator rpm.
      #
      # @param output_ampere [Float]
      # @param rating_ampere [Float] greater than 0 A
      # @param hot [Boolean]
      # @param limits [Limits::Table]
      # @return [Boolean] true when the output carries its rating
      def self.passes?(output_ampere:, rating_ampere:, hot:, limits: Limits::Table.shipped)
        share = limits.fetch(hot ? 'charging.output_hot' : 'charging.output_cold').value
        100.0 * output_ampere / rating_ampere >= share
      end

      # @param field_circuit [String] "A" (regulator on the ground side) or "B" (field fed by the regulator)
      # @param internal_regulator [Boolean]
      # @return [String] where the fused jumper goes
      # @raise [RefusedError] on an internal regulator
      # @raise [InvalidQuantityError] if the circuit is not known
      def self.full_field_jumper(field_circuit:, internal_regulator:)
        raise RefusedError, 'Never on an internal regulator' if internal_regulator

        { 'A' => 'field to ground', 'B' => 'field to battery' }.fetch(field_circuit) do
          raise InvalidQuantityError.new('Find out first whether the field is fed (B) or grounded (A)',
                                         field: 'field_circuit')
        end
      end
    end
  end
end
