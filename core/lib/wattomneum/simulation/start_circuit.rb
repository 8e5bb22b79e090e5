# frozen_string_literal: true

module Wattomneum
  module Simulation
    # The start loop as a circuit: bank, feed, starter, ground. One state: the starter is called.
    class StartCircuit
      # Healthy stretches use this share of their limit at the usual current (common practice for sound cables).
      HEALTHY_SHARE = { 'drop.start_cable' => 0.45, 'drop.contact' => 0.35, 'drop.connection' => 0.4,
                        'drop.ground_network' => 0.45, 'drop.positive_cranking' => 0.6 }.freeze
      STARTER_SHARE = 0.25
      SLOW_RATIO = 0.8
      STALL_RATIO = 0.12
      # A solenoid pulls in above this share of system voltage.
      PULL_IN_RATIO = 0.55
      SOLENOID_OHM = 0.6
      HEADLAMP_AMPERE = 10.0

      # current, rest and posts in A and V; stretches in V by element; signal in V
      Result = Struct.new(:current_ampere, :rest_volt, :posts_volt, :starter_volt, :stretches_volt, :signal_volt,
                          :behaviour, keyword_init: true)

      # @param system [Systems::ElectricalSystem]
      # @param sources [Array<Batteries::Bank::Source>] the batteries as they are now
      # @param new_sources [Array<Batteries::Bank::Source>] the same when new, for what the engine is used to
      # @param faults [Array<Fault>]
      # @param temperature_celsius [Float]
      def initialize(system:, sources:, new_sources:, faults:, temperature_celsius:)
        @system = system
        @faults = faults
        @bank = Batteries::Bank.equivalent(sources, arrangement: system.arrangement)
        @healthy_bank = Batteries::Bank.equivalent(new_sources, arrangement: system.arrangement)
        @demand_ampere = usual_ampere * Cranking::EngineDemand.ratio(temperature_celsius: temperature_celsius) /
                         Cranking::EngineDemand.ratio(temperature_celsius: 20.0)
      end

      # @return [Result]
      def solve
        signal_ohm = fault_ohm('signal_wire')
        called = SOLENOID_OHM / (SOLENOID_OHM + signal_ohm) > PULL_IN_RATIO
        current = called ? main_current : 0.0
        posts = @bank.rest_volt - ((current + HEADLAMP_AMPERE) * @bank.resistance_ohm)
        stretches = stretch_ohms.transform_values { |ohm| current * ohm }
        Result.new(current_ampere: current, rest_volt: @bank.rest_volt, posts_volt: posts, stretches_volt: stretches,
                   starter_volt: called ? posts - stretches.values.sum : 0.0,
                   signal_volt: posts * SOLENOID_OHM / (SOLENOID_OHM + signal_ohm), behaviour: behaviour(called))
      end

      # @return [Array<Readings::TestDefinition>] the stretches of feed and ground on this unit
      def self.stretches(system)
        Readings::Catalogue.for(system).select(&:part_of)
      end

      private

      def usual_ampere = @system.usual_cranking_current_ampere
      def starter_ohm = STARTER_SHARE * @system.system_volt / usual_ampere

      def fault_ohm(element)
        @faults.select { |fault| fault.element == element && fault.kind == 'resistance' }.sum(&:amount)
      end

      def open_starter? = @faults.any? { |fault| fault.element == 'starter' && fault.kind == 'open' }

      def locked? = @faults.any? { |fault| fault.element == 'engine' }

      def stretch_ohms
        @stretch_ohms ||= self.class.stretches(@system).to_h do |test|
          healthy = HEALTHY_SHARE.fetch(test.limit) * @system.limit(test.limit).value / usual_ampere
          [test.element, healthy + fault_ohm(test.element)]
        end
      end

      def healthy_path_ohm = stretch_ohms.sum { |element, ohm| ohm - fault_ohm(element) }

      # The engine takes the current its torque needs, as long as that leaves the starter volts to turn with.
      def main_current
        return 0.0 if open_starter?
        return stall_current if locked?

        speed_ratio > STALL_RATIO ? @demand_ampere : stall_current
      end

      def stall_current = @bank.rest_volt / (@bank.resistance_ohm + stretch_ohms.values.sum + starter_ohm)

      def back_volt(bank, path_ohm)
        bank.rest_volt - (@demand_ampere * (bank.resistance_ohm + path_ohm + starter_ohm))
      end

      # Speed against what this engine makes at this temperature with a sound bank and path.
      def speed_ratio
        back_volt(@bank, stretch_ohms.values.sum) / back_volt(@healthy_bank, healthy_path_ohm)
      end

      def behaviour(called)
        return 'silent' unless called
        return 'click' if open_starter? || locked?
        return 'normal' if speed_ratio >= SLOW_RATIO
        return 'slow' if speed_ratio > STALL_RATIO

        stretch_ohms.values.sum > 2 * healthy_path_ohm ? 'click' : 'chatters'
      end
    end
  end
end
