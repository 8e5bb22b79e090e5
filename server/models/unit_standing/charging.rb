# frozen_string_literal: true

module Server
  module Models
    class UnitStanding
      # The regulated volts as they would be at 25 degC, with their band, and whether they drift.
      module Charging
        NONE = { charging_volt: nil, charging_low_volt: nil, charging_high_volt: nil, charging_yearly_volt: nil, charging_verdict: nil,
                 charging_at: nil }.freeze
        private_constant :NONE

        # @param unit [Unit]
        # @param system [Wattomneum::Units::ElectricalSystem]
        # @param limits [Wattomneum::Limits::Table]
        # @return [Hash] columns
        def self.of(unit, system, limits)
          trend = Queries::ChargingTrend.new(unit.id, system: system, limits: limits)
          last = trend.points.last or return NONE
          drift = trend.drift
          { charging_volt: last.volt, charging_low_volt: drift.low_volt, charging_high_volt: drift.high_volt,
            charging_yearly_volt: (drift.yearly_volt if drift.missing.nil? && drift.drifts?), **judged(unit) }
        end

        def self.judged(unit)
          newest = Last.of(unit, [Wattomneum::Readings::Due::TESTS.fetch('charge')]).first
          { charging_verdict: newest&.fetch(:verdict), charging_at: newest&.fetch(:taken_at) }
        end
        private_class_method :judged
      end
    end
  end
end
