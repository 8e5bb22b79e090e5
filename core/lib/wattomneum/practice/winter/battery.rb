# frozen_string_literal: true

module Wattomneum
  module Practice
    module Winter
      # A bank as electrochemistry has it: plates whose overvoltage grows with the logarithm of the current, acid that conducts worse in the cold
      # and when spent. Nothing of it is the forecast's.
      #
      # Source: Tafel 1905; conductivity of sulphuric acid about 1 % a degree (from memory).
      class Battery
        TAFEL_VOLT = 0.2
        # Share of its rating at which the overvoltage sets in, at 25 degC.
        EXCHANGE_SHARE = 0.03
        # Ohm times ampere of rating.
        RESISTANCE_VOLT = 2.8
        private_constant :TAFEL_VOLT, :EXCHANGE_SHARE, :RESISTANCE_VOLT

        # @return [Numeric] in series
        attr_reader :count
        # @return [Float] cold cranking amperes that are left, against its label
        attr_reader :health

        # @param count [Numeric] of 12 V, in series
        # @param rating_ampere [Float] of the label, SAE; of all in parallel
        # @param health [Float]
        # @param cold_share [Float] how much more than others it suffers from cold
        def initialize(count:, rating_ampere:, health:, cold_share: 1.0)
          @count = count
          @ampere = rating_ampere * health
          @health = health
          @cold_share = cold_share
        end

        # @param charge [Float] ratio
        # @return [Float] volts at rest
        def rest_volt(charge) = @count * (11.89 + (0.76 * charge))

        # @param ampere [Float]
        # @param celsius [Float]
        # @param charge [Float] ratio
        # @return [Float] volts at its posts
        def posts_volt(ampere, celsius, charge)
          colder = (25.0 - celsius) * @cold_share
          ohm = RESISTANCE_VOLT / @ampere * Math.exp(0.0105 * colder) / (0.45 + (0.55 * charge))
          onset = EXCHANGE_SHARE * @ampere * Math.exp(-0.025 * colder)
          rest_volt(charge) - (@count * ((ampere * ohm) + (TAFEL_VOLT * Math.log(1.0 + (ampere / onset)))))
        end
      end
    end
  end
end
