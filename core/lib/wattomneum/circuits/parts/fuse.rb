# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # A fuse, breaker or fusible link.
      class Fuse < Part
        # Cold resistance times rating of blade fuses, about 75 mV (common practice: a 10 A fuse has about 7.5 mohm).
        VOLT_AT_RATING = 0.075
        # It opens for good above this share of its rating (blade fuses carry 1.1 for hours, open within minutes at 1.35;
        # ISO 8820, from memory).
        BLOWS_AT_RATIO = 1.35

        def pins = %w[1 2]
        def branches = [branch('1', '2', number('ohm', VOLT_AT_RATING / rating_ampere), gate: :whole)]
        def conductor? = true

        # @return [Float]
        def rating_ampere = number('rating_ampere')

        # @return [Float] ampere above which it is taken to blow
        def blows_ampere = rating_ampere * BLOWS_AT_RATIO
      end
    end
  end
end
