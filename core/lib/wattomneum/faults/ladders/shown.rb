# frozen_string_literal: true

module Wattomneum
  module Faults
    module Ladders
      # Whether the readings of a job show the sign of a bracket.
      class Shown
        # @param assessment [Assessment]
        # @param suspect [String]
        # @param position [String, nil] of a battery
        def initialize(assessment, suspect, position)
          @assessment = assessment
          @suspect = suspect
          @position = position
        end

        # @param sign [Hash{String => Object}]
        # @return [Boolean]
        def all?(sign) = sign.all? { |kind, wanted| public_send(:"#{kind}?", wanted) }

        # @param tests [Array<String>]
        # @return [Boolean] whether each of them speaks against the suspect itself
        def convicts?(tests) = tests.all? { |test| judgement(test)&.convicts&.include?(@suspect) }

        # @param seen [Hash{String => Array<String>}]
        # @return [Boolean]
        def observed?(seen) = seen.all? { |test, words| words.include?(@assessment.reading(test)&.observation) }

        # @param tests [Array<String>]
        # @return [Boolean]
        def sound?(tests) = tests.all? { |test| judgement(test)&.sound? }

        # @param findings [Hash{String => Array<String>}]
        # @return [Boolean]
        def codes?(findings) = findings.all? { |test, codes| codes.include?(judgement(test)&.code) }

        # @param code [String]
        # @return [Boolean] whether that was found across the solenoid's own coil
        def coil?(code) = StarterCoil.new(@assessment).judgement&.code == code

        private

        def judgement(test) = @assessment.judgement(test, position: Readings::Catalogue.fetch(test).per_battery? ? @position : nil)
      end
    end
  end
end
