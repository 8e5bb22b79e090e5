# frozen_string_literal: true

module Wattomneum
  module Charging
    # Charging voltage where no lead-acid band holds: from a converter, or onto lithium, capacitors or a pack. What it is set to is its limit.
    class SetpointJudge < Evidence::Judge
      TESTS = %w[charging_idle charging_fast_idle charging_loaded charging_hot].freeze
      private_constant :TESTS

      # @param test [Readings::TestDefinition]
      # @param system [Units::ElectricalSystem]
      # @return [Boolean] whether this test of that unit goes by its setpoint alone
      def self.for?(test, system) = TESTS.include?(test.key) && (system.converter? || !system.lead_acid?)

      # @return [Judgement]
      def call
        return over_cap if system.lead_acid? && side(value, limit('charging.over_cap'), error) == :over
        return without_setpoint if setpoint.nil?

        sum("#{Figure.volt(value)} - setpoint #{Figure.volt(setpoint)} = #{format('%+.2f', off)} V")
        reading.test_key == 'charging_loaded' ? loaded : unloaded
      end

      private

      def error = Evidence::MeterError.volt(value)
      def off = difference(value, setpoint)
      def over? = off > within_volt
      def within_volt = VoltageJudge::SETPOINT_WITHIN_VOLT * system.blocks_in_series
      def converter = system.converter? ? 'Converter' : 'Alternator or charger'

      # Said beside this reading, or beside the one with the loads off.
      def setpoint
        @setpoint ||= [reading, companion('charging_fast_idle')].compact.filter_map { |one| one.conditions.number('setpoint_volt') }.first
      end

      def unloaded
        return off_setpoint if off.abs > within_volt

        finding('charging.follows_setpoint', 'sound', weight: 'support')
      end

      def loaded
        return off_setpoint if over?

        most = limit('charging.loaded_within')
        case side(-off, most, error)
        when :over then sinks
        when :at then at_the_limit('charging_loaded.at_limit', error, said: { volt: Figure.volt(value) })
        else finding('charging_loaded.holds_setpoint', 'sound', weight: 'proof', clears: ['alternator'], rules_out: ['Weak output'])
        end
      end

      def sinks
        finding('charging_loaded.under_setpoint', 'act', said: { off: Figure.volt(-off) }, weight: 'support',
                                                         rules_in: ["#{converter}, or a drop in the output path"],
                                                         instead: 'Output drop and case drop at current')
      end

      def off_setpoint
        finding('charging.off_setpoint', 'act', weight: 'support', figures: over? ? { over_by_volt: off } : {},
                                                rules_in: ["#{converter}, its command, or a drop on the way"])
      end

      def over_cap
        cap = limit('charging.over_cap')
        finding('charging.over', 'act', weight: 'support', figures: { over_by_volt: value - cap }, rules_in: [converter])
      end

      # Onto lead and acid no rise is no charging, whatever it is set to.
      def without_setpoint
        return no_rise if system.lead_acid? && reading.test_key != 'charging_loaded' && rise == :under

        finding('charging.setpoint_decides', 'unproven', said: { volt: Figure.volt(value) }, validity: 'unstated', weight: 'none',
                                                         instead: 'Say its setpoint: from its plate, its maker or the scan tool')
      end

      def rise
        rest = circumstances.latest('posts_rest', round: reading.round) or return
        @rise_volt = difference(value, rest.value)
        sum("rise #{reading.spoken} - #{rest.spoken} at rest = #{format('%+.2f', @rise_volt)} V")
        side(@rise_volt, limit('charging.rise_least'), error)
      end

      def no_rise
        finding('charging.no_rise', 'act', weight: 'support', figures: { rise_volt: @rise_volt },
                                           rules_in: ["#{converter}, its feed, what enables it, or its output cable"],
                                           instead: 'Output terminal and what enables it, then the volts at its input')
      end
    end
  end
end
