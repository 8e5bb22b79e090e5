# frozen_string_literal: true

module Wattomneum
  module Evidence
    # What must hold before ohms are believed: a dead circuit, and the same value with the leads reversed.
    #
    # Source: handbook chapter on evidence, common practice; 50 mV is a 50 ohm error at a 1 mA test current.
    module ResistancePreconditions
      SMALL_OHM = 1000.0

      # @param resistance_ohm [Float, nil] nil for OL
      # @param voltage_across_volt [Float, nil] measured between the points, power off; nil when not measured
      # @param reversed_ohm [Float, nil] with the leads reversed; nil when not measured
      # @param limits [Limits::Table]
      # @return [Array<String>] objections, empty when the ohms may be believed
      def self.objections(resistance_ohm:, voltage_across_volt:, reversed_ohm:, limits: Limits::Table.shipped)
        [power_objection(resistance_ohm, voltage_across_volt, limits),
         reversal_objection(resistance_ohm, reversed_ohm, limits)].compact
      end

      def self.power_objection(resistance_ohm, volt, limits)
        return if volt.nil?

        small = resistance_ohm && resistance_ohm < SMALL_OHM
        most = limits.fetch(small ? 'evidence.power_off_small' : 'evidence.power_off').value
        return if volt.abs <= most

        "#{Quantities::Figure.volt(volt)} across the points: ohms are void over #{Quantities::Figure.volt(most)}"
      end
      private_class_method :power_objection

      def self.reversal_objection(resistance_ohm, reversed_ohm, limits)
        return if resistance_ohm.nil? || reversed_ohm.nil?

        apart = (resistance_ohm - reversed_ohm).abs
        return if apart <= [resistance_ohm, reversed_ohm].max * limits.fetch('evidence.reversed_leads').value / 100.0

        "#{Quantities::Figure.ohm(resistance_ohm)} one way and #{Quantities::Figure.ohm(reversed_ohm)} the other: " \
          'something in the circuit drives or rectifies'
      end
      private_class_method :reversal_objection
    end
  end
end
