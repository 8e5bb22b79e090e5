# frozen_string_literal: true

module Wattomneum
  module Grounds
    # The drop over a ground point or strap at a current: what it comes to in milliohms, and whether it is sound.
    #
    # Source: 0.05 V over one clean connection, 0.1 V over a strap of the ground network, with the circuit working; common practice. A large
    # drop convicts at any current; a small one clears only where enough flowed.
    class Check
      # @param volt [Float] across it, leads on the two metals
      # @param ampere [Float] that flowed
      # @param kind [String] of Map::Place
      # @param starts [Boolean] whether the starter's current returns through it
      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      # @raise [InvalidQuantityError] if no current flowed, or a figure is none of a ground
      def initialize(volt:, ampere:, kind:, starts:, system:, limits: Limits::Table.shipped)
        raise InvalidQuantityError.new('say how many amperes flowed: without current a drop says nothing', field: 'ampere') unless ampere.positive?
        raise InvalidQuantityError.new('a drop over a ground is 0 V or more, and less than the system has', field: 'volt') unless
          volt.between?(0.0, system.system_volt.to_f)

        @volt = volt
        @ampere = ampere
        @limit = system.limit(kind == 'strap' ? 'drop.ground_network' : 'drop.connection', limits: limits)
        @least_ampere = least_ampere(starts, system, limits)
        freeze
      end

      # Formula: R = V / I; Ohm's law.
      #
      # @param volt [Float]
      # @param ampere [Float] greater than 0 A
      # @return [Float]
      # @example 0.21 V at 420 A   # => 0.5
      def self.milliohm(volt, ampere) = 1000.0 * volt / ampere

      # @return [Float]
      def milliohm = self.class.milliohm(@volt, @ampere)

      # Meters on their lowest range show a tenth of a millivolt; what is under one reads like volts (ours).
      LEAST_PLAIN_VOLT = 0.001
      private_constant :LEAST_PLAIN_VOLT

      # A meter on volts, its figure typed where millivolts belong, would clear every bad joint.
      #
      # @return [Readings::Plausibility::Question, nil] its values in volts; of a figure that was typed with its unit nobody asks
      def question
        return unless @volt.positive? && @volt < LEAST_PLAIN_VOLT

        meant = (@volt * 1000).round(6)
        Readings::Plausibility::Question.new(
          text: "#{Quantities::Figure.trim(meant, 3)}: millivolts, or did the meter show volts?",
          options: [{ label: Quantities::Figure.volt(meant), value: meant },
                    { label: "#{Quantities::Figure.trim(meant, 3)} mV, as I typed it", value: nil }]
        )
      end

      # @return [String] one of Evidence::Judgement::VERDICTS
      def verdict
        error = Evidence::MeterError.volt(@volt)
        return 'act' if @volt > @limit.value + error
        return 'watch' if @volt >= @limit.value - error

        @ampere >= @least_ampere ? 'sound' : 'unproven'
      end

      # @return [String]
      def words
        figure = "#{Quantities::Figure.volt(@volt)} at #{Quantities::Figure.ampere(@ampere)}, #{Quantities::Figure.ohm(milliohm / 1000.0)}"
        case verdict
        when 'act' then "#{figure}: over #{Quantities::Figure.volt(@limit.value)}"
        when 'watch' then "#{figure}: at the limit of #{Quantities::Figure.volt(@limit.value)}, within what the meter may be off"
        when 'sound' then figure
        else "#{figure}: too little flowed, read it at #{Quantities::Figure.ampere(@least_ampere)} or more"
        end
      end

      private

      # The starter's own return is judged while it cranks.
      def least_ampere(starts, system, limits)
        own = limits.fetch('ground.flow_least').value
        return own unless starts && system.starter?

        [own, system.usual_cranking_current_ampere * limits.fetch('cranking.flow_least').value / 100.0].max
      end
    end
  end
end
