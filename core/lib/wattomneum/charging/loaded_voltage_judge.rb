# frozen_string_literal: true

module Wattomneum
  module Charging
    # Charging voltage with all loads on: proof that the output carries the unit.
    class LoadedVoltageJudge < Evidence::Judge
      # @return [Judgement]
      def call
        least = limit('charging.loaded_least')
        sum("#{Figure.volt(value)} - #{Figure.volt(least)} = #{format('%+.2f', value - least)} V")
        return low if value < least || sinks?

        judgement('sound', 'Carries the loads', weight: 'proof', clears: %w[alternator output_cable],
                                                rules_out: ['Weak output'])
      end

      private

      def sinks?
        unloaded = companion('charging_fast_idle') or return false
        lost = difference(unloaded.value, value)
        most = limit('charging.loaded_within')
        sum("loads off #{unloaded.spoken} - loads on #{reading.spoken} = #{Figure.volt(lost)}, at most #{Figure.volt(most)}")
        lost > most
      end

      def low
        judgement('act', 'Sinks under load', weight: 'proof', rules_in: ['Output, belt, diode, or a drop in the output path'],
                                             instead: 'Output drop and case drop at current, then ripple')
      end
    end
  end
end
