# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Whether a load was large enough to show a fault: a lamp draws 2 A, a starter 700.
    module LoadAdequacy
      # Smallest series resistance that a load could have revealed.
      #
      # Formula: R = share x V / I (the loss one notices over the current that flows); Ohm's law.
      #
      # @param supply_volt [Float]
      # @param load_ampere [Float] what the load draws, greater than 0 A
      # @param noticed_share [Float] ratio of the voltage whose loss is noticed, 0.1 for a lamp by eye
      # @return [Float] ohm
      # @raise [InvalidQuantityError] if no current flows
      # @example a 24 W lamp on 12 V (2 A), a tenth noticed by eye   # => 0.6 ohm
      def self.smallest_revealed_ohm(supply_volt:, load_ampere:, noticed_share: 0.1)
        raise InvalidQuantityError.new('load_ampere must be over 0 A', field: 'load_ampere') unless load_ampere.positive?

        noticed_share * supply_volt / load_ampere
      end

      # Resistance at which a path fails its drop limit at its working current.
      #
      # @param limit_volt [Float]
      # @param working_ampere [Float] greater than 0 A
      # @return [Float] ohm
      def self.failing_ohm(limit_volt:, working_ampere:)
        limit_volt / working_ampere
      end
    end
  end
end
