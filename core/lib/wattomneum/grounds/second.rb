# frozen_string_literal: true

module Wattomneum
  module Grounds
    # A second ground, from the alternator's case to battery negative: insurance to some, a way round the fault to others.
    module Second
      # The starter's current finds its way too, where the engine ground is bad (handbook, common practice).
      LEAST_MM2 = 16.0
      # Under the bonnet beside the engine.
      AMBIENT_CELSIUS = 50.0
      private_constant :AMBIENT_CELSIUS

      # Formula: the larger of 16 mm2 and the smallest size whose continuous current is that of full output.
      # Source: common practice; Wiring::Ampacity at 50 degC.
      #
      # @param rating_ampere [Float, nil] of the alternator; nil where it is not known
      # @return [Float, nil] mm2; nil where no size of the table carries it
      # @example 130 A   # => 50.0
      def self.section_mm2(rating_ampere)
        return LEAST_MM2 if rating_ampere.nil?

        Wiring::Ampacity.sizes_mm2.find do |size|
          size >= LEAST_MM2 && Wiring::Ampacity.continuous_ampere(section_mm2: size, ambient_celsius: AMBIENT_CELSIUS) >= rating_ampere
        end
      end
    end
  end
end
