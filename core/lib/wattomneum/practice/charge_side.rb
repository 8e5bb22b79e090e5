# frozen_string_literal: true

module Wattomneum
  module Practice
    # The charge loop in one state, as its tests read it: what stands at the posts and on the alternator's terminals.
    class ChargeSide
      SETPOINT_PER_12_VOLT = 14.2
      SAG_UNDER_LOADS_RATIO = 0.012
      LAMP_OHM = 7.0
      # Share of its rating that it gives with the loads of a unit on.
      OUTPUT_SHARE = 0.55
      # What a sound alternator gives of its rating when it is pulled for all it has.
      FULL_SHARE = 0.97
      HEALTHY_CASE_VOLT = 0.03
      HEALTHY_OUTPUT_VOLT = 0.12

      # @param system [Systems::ElectricalSystem]
      # @param rest_volt [Float] of the bank
      # @param faults [Array<UnitFault>]
      # @param temperature_celsius [Float]
      def initialize(system:, rest_volt:, faults:, temperature_celsius:)
        @system = system
        @rest_volt = rest_volt
        @faults = faults
        @temperature_celsius = temperature_celsius
      end

      # @return [Boolean]
      def charges? = !(dead?('alternator') || dead?('excitation_wire') || dead?('output_cable'))

      # @param loaded [Boolean]
      # @return [Float] volts at the posts, running
      def posts_volt(loaded: false)
        return @rest_volt - (0.15 * factor) unless charges?
        return slipping(loaded) if dead?('belt')

        volt = setpoint + overcharge_volt
        loaded ? volt * (1 - SAG_UNDER_LOADS_RATIO) : volt
      end

      # @param element [String] output_cable, sense_wire or excitation_wire
      # @return [Float] volts on that feed's terminal under a lamp
      def feed_volt(element)
        return 0.0 if dead?(element)

        lamp = LAMP_OHM * factor
        @rest_volt * lamp / (lamp + fault_ohm(element))
      end

      # @return [Float] drop from case to negative post at the output current
      def case_drop_volt = HEALTHY_CASE_VOLT + (fault_ohm('alternator_ground') * output_ampere)

      # @return [Float] drop from output to positive post at the output current
      def output_drop_volt = HEALTHY_OUTPUT_VOLT + (fault_ohm('output_cable') * output_ampere)

      # @return [Float] ampere with loads on
      def output_ampere = OUTPUT_SHARE * (@system.alternator_rating_ampere || 80.0)

      # @return [Float] ampere it gives with a pile on
      def most_ampere = charges? && !dead?('belt') ? FULL_SHARE * (@system.alternator_rating_ampere || 80.0) : 0.0

      # @return [Float] volts peak to peak
      def ripple_volt = dead?('alternator') ? 0.02 : 0.12 * factor

      # @return [String] lit or dark
      def lamp_key_on = dead?('excitation_wire') ? 'dark' : 'lit'

      # @return [String] lit or dark
      def lamp_running = charges? || dead?('excitation_wire') ? 'dark' : 'lit'

      # @return [String] clean or loose
      def belt = dead?('belt') ? 'loose' : 'clean'

      private

      def factor = @system.system_volt / 12.0
      def dead?(element) = @faults.any? { |fault| fault.element == element && fault.kind == 'dead' }

      def fault_ohm(element)
        @faults.select { |fault| fault.element == element && fault.kind == 'resistance' }.sum(&:amount)
      end

      def setpoint
        per_degree = @system.limit('charging.shift_per_degree').value
        (SETPOINT_PER_12_VOLT * factor) + (per_degree * (@temperature_celsius - 25))
      end

      # What the regulator does not see on its sense wire it adds at the output.
      def overcharge_volt
        return 0.0 unless @system.has_sense

        @rest_volt - feed_volt('sense_wire')
      end

      def slipping(loaded) = @rest_volt + ((loaded ? 0.1 : 0.7) * factor)
    end
  end
end
