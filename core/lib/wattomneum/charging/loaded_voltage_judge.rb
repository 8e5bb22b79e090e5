# frozen_string_literal: true

module Wattomneum
  module Charging
    # Charging voltage with all loads on: proof that the output carries the unit.
    class LoadedVoltageJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return over_cap if side(value, limit('charging.over_cap'), error) == :over

        least = least_volt
        sum("#{Figure.volt(value)} - #{Figure.volt(least)} = #{format('%+.2f', value - least)} V")
        sinks = sinking
        return low if side(value, least, error) == :under || sinks == :over
        return at_the_limit('charging_loaded.at_limit', error, said: { volt: Figure.volt(value) }) if side(value, least, error) == :at || sinks == :at

        finding('charging_loaded.carries', 'sound', weight: 'proof', clears: ['alternator'],
                                                rules_out: ['Weak output'])
      end

      private

      def error = Evidence::MeterError.volt(value)

      # The floor moves with the temperature of the batteries as the band does.
      def least_volt
        %w[charging.loaded_least charging.shift_per_degree charging.floor_least].each { |id| limit(id) }
        unloaded = companion('charging_fast_idle')
        celsius = [reading, unloaded].compact.filter_map { |one| one.conditions.number('battery_temperature_celsius') }.first
        Regulation.new(system, temperature_celsius: celsius, limits: circumstances.limits).loaded_volt
      end

      def over_cap
        finding('charging_loaded.over', 'act', weight: 'proof', figures: { over_by_volt: value - limit('charging.over_cap') },
                                                           rules_in: ['Sense wire or regulator ground first, then regulator'],
                                                           instead: 'Read the sense terminal under load against the posts now')
      end

      # @return [Symbol, nil] where the loss against loads off lies; nil where that was not read
      def sinking
        unloaded = companion('charging_fast_idle') or return
        lost = difference(unloaded.value, value)
        most = limit('charging.loaded_within')
        sum("loads off #{unloaded.spoken} - loads on #{reading.spoken} = #{Figure.volt(lost)}, at most #{Figure.volt(most)}")
        side(lost, most, Evidence::MeterError.difference(unloaded.value, value))
      end

      def low
        finding('charging_loaded.sinks', 'act', weight: 'proof', rules_in: ['Output, belt, diode, or a drop in the output path'],
                                             instead: 'Output drop and case drop at current, then ripple')
      end
    end
  end
end
