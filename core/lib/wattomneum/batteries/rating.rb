# frozen_string_literal: true

module Wattomneum
  module Batteries
    # A cold cranking rating: amperes and the standard they were measured by. The two stay together.
    class Rating
      STANDARDS = Tables::DATA.fetch('rating_to_sae').fetch('factors').freeze
      # No starter battery of a road or work machine lies outside (common practice).
      AMPERES = (100.0..2000.0)

      attr_reader :ampere, :standard

      # @param ampere [Float]
      # @param standard [String] one of SAE, EN, DIN, IEC, CA
      # @raise [InvalidQuantityError] if the standard is unknown or no such battery exists
      def initialize(ampere:, standard:)
        unless STANDARDS.key?(standard)
          raise InvalidQuantityError.new("standard must be one of #{STANDARDS.keys.join(', ')}, got #{standard}",
                                         field: 'rating_standard')
        end
        unless AMPERES.cover?(ampere)
          raise InvalidQuantityError.new("No such battery: a rating lies within #{AMPERES.begin.to_i} and " \
                                         "#{AMPERES.end.to_i} A, got #{Quantities::Figure.trim(ampere.to_f, 0)} A",
                                         field: 'rating_ampere')
        end

        @ampere = ampere.to_f
        @standard = standard
        freeze
      end

      # @return [Float] the SAE cold cranking amperes this rating stands for; approximate unless it is SAE
      def sae_ampere = ampere * STANDARDS.fetch(standard)

      # @return [Boolean] true when sae_ampere rests on a rule of thumb
      def converted? = standard != 'SAE'

      # @return [String] what the standard's test asks for, with its source
      def test_description = Tables::DATA.fetch('rating_tests').fetch(standard)

      # @return [String]
      def to_s = "#{Quantities::Figure.trim(ampere, 0)} A #{standard}"
    end
  end
end
