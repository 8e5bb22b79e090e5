# frozen_string_literal: true

module Wattomneum
  module Cranking
    # How much current flowed while a reading was taken: a small drop with little current clears nothing.
    class Flow
      ENGINE_TURNED = %w[normal slow starts_and_dies].freeze
      # ampere: known or at most; source: clamp, sag or turning; exact: false for an upper bound
      Estimate = Struct.new(:ampere, :source, :exact, :arithmetic, keyword_init: true)

      # Most current that a sag of the bank can mean.
      #
      # Formula: I = sag / least plausible bank resistance; Ohm's law.
      # Source: common practice (0.3 V over 2.5 mohm is at most 120 A); the least resistance is the bank's own, see Batteries::Bank.
      #
      # @param sag_volt [Float]
      # @param bank_ohm [Float] greater than 0 ohm
      # @return [Float] ampere
      # @example 0.3 V, 0.0025 ohm   # => 120.0
      def self.most_ampere(sag_volt:, bank_ohm:)
        [sag_volt, 0].max / bank_ohm
      end

      # @param cranking [Readings::Reading] of the posts while cranking
      # @param circumstances [Evidence::Circumstances]
      # @return [Float, nil] what its sag is counted from: said beside it, or the last reading at rest
      def self.rest_volt(cranking, circumstances)
        cranking.conditions.number('rest_volt') || circumstances.latest('posts_rest', round: cranking.round)&.value
      end

      # @param reading [Readings::Reading] the reading whose current is asked for
      # @param circumstances [Evidence::Circumstances]
      def initialize(reading, circumstances)
        @reading = reading
        @circumstances = circumstances
      end

      # A clamp meter wins, then the engine that turned, then what the sag allows at most.
      #
      # @return [Estimate, nil] nil when nothing is known of the current
      def estimate
        return @estimate if defined?(@estimate)

        @estimate = clamp || sag_of_click || turned || sag
      end

      # What flowed at most can be too little; it is never enough by itself.
      #
      # @return [Boolean, nil] whether enough flowed to clear a cable; nil when not known
      def adequate?
        found = estimate
        return true if found&.source == 'turning'
        return found.ampere >= least_ampere if found&.exact

        false if found && found.ampere < least_ampere
      end

      # @return [Boolean] whether no more than the solenoid's own draw can have flowed
      def none? = !estimate.nil? && estimate.ampere < usual_ampere * limit('cranking.current_near_none').value / 100.0

      # @return [Float] ampere
      def least_ampere
        usual_ampere * limit('cranking.flow_least').value / 100.0
      end

      # @return [Float] ampere
      def usual_ampere = @circumstances.system.usual_cranking_current_ampere

      # The most that can have flowed, where no clamp was on: what the sag allows, and of an engine that turned no more than it ever asks.
      #
      # @return [Float, nil] ampere; nil when nothing bounds it
      def most_ampere
        found = estimate or return
        return found.ampere unless found.source == 'turning'

        [sag&.ampere, usual_ampere * limit('cranking.current_high').value / 100.0].compact.min
      end

      private

      def least_bank_ohm(celsius)
        Batteries::Bank.least_ohm(@circumstances.system, temperature_celsius: celsius, limits: @circumstances.limits)
      end

      def limit(id) = @circumstances.system.limit(id, limits: @circumstances.limits)
      def companion(key) = @circumstances.companion(@reading, key)
      def behaviour = companion('cranking_behaviour')&.observation

      def clamp
        current = companion('cranking_current') or return
        Estimate.new(ampere: current.value, source: 'clamp', exact: true,
                     arithmetic: "#{current.spoken} by clamp, usual #{Quantities::Figure.ampere(usual_ampere)}")
      end

      def turned
        return unless ENGINE_TURNED.include?(behaviour)

        Estimate.new(ampere: usual_ampere, source: 'turning', exact: false,
                     arithmetic: 'the engine turned, so current flowed')
      end

      # An engine that did not turn says nothing by itself; the sag does.
      def sag_of_click
        sag unless behaviour.nil? || ENGINE_TURNED.include?(behaviour)
      end

      def sag
        cranking = companion('posts_cranking') or return
        rest_volt = self.class.rest_volt(cranking, @circumstances) or return
        sag_volt = rest_volt - cranking.value
        bank_ohm = least_bank_ohm(cranking.conditions.number('battery_temperature_celsius'))
        ampere = self.class.most_ampere(sag_volt: sag_volt, bank_ohm: bank_ohm)
        line = "sag #{Quantities::Figure.volt(sag_volt)} / #{Quantities::Figure.ohm(bank_ohm)} " \
               "= at most #{Quantities::Figure.ampere(ampere)}"
        Estimate.new(ampere: ampere, source: 'sag', exact: false, arithmetic: line)
      end
    end
  end
end
