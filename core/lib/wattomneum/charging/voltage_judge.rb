# frozen_string_literal: true

module Wattomneum
  module Charging
    # Charging voltage at the posts, idle or fast idle, loads off.
    class VoltageJudge < Evidence::Judge
      # A commanded alternator is judged against its setpoint within this (ours).
      SETPOINT_WITHIN_VOLT = 0.3

      # @return [Judgement]
      def call
        return against_setpoint if reading.conditions.number('setpoint_volt')

        rise_line
        return no_rise if @rise_volt && @rise_volt < limit('charging.rise_least')
        return idle_rises if reading.test_key == 'charging_idle' && value <= band.over_volt

        against_band
      end

      private

      def celsius = reading.conditions.number('battery_temperature_celsius')
      def band = @band ||= Regulation.new(system, temperature_celsius: celsius, limits: circumstances.limits)

      def rise_line
        rest = circumstances.latest('posts_rest', round: reading.round) or return
        @rise_volt = difference(value, rest.value)
        sum("rise #{reading.spoken} - #{rest.spoken} at rest = #{format('%+.2f', @rise_volt)} V")
      end

      def against_setpoint
        setpoint = reading.conditions.number('setpoint_volt')
        off = difference(value, setpoint)
        sum("#{Figure.volt(value)} - setpoint #{Figure.volt(setpoint)} = #{format('%+.2f', off)} V")
        return judgement('sound', 'Follows its setpoint', weight: 'support') if off.abs <= SETPOINT_WITHIN_VOLT

        judgement('act', 'Does not follow its setpoint', weight: 'support',
                                                         rules_in: ['Alternator, its command line, or a drop on the way'])
      end

      def no_rise
        judgement('act', 'No rise over rest: it does not charge', weight: 'support', figures: { rise_volt: @rise_volt },
                  rules_in: ['Belt, excitation, sense, output cable or alternator'],
                  instead: 'Lamp, excitation, sense and output terminal before the alternator is condemned')
      end

      def idle_rises
        judgement('sound', 'It charges; its height is judged at fast idle', weight: 'support')
      end

      def against_band
        %w[charging.low charging.high charging.shift_per_degree].each { |id| limit(id) }
        sum("band at #{Figure.celsius(celsius || Regulation::REFERENCE_CELSIUS)}: #{Figure.volt(band.low_volt)} to " \
            "#{Figure.volt(band.high_volt)}, overcharging over #{Figure.volt(band.over_volt)}")
        return over if value > band.over_volt
        return low if value < band.low_volt

        in_band
      end

      def in_band
        verdict = value > band.high_volt ? 'watch' : 'sound'
        words = verdict == 'watch' ? 'A little over the band: look at the sense wire' : 'Regulated as it should'
        judgement(verdict, words, weight: 'support', validity: celsius ? 'valid' : 'approximate',
                                  reasons: celsius ? [] : ['Battery temperature not said: judged at 25 degC'],
                                  rules_out: verdict == 'sound' ? ['Regulator and output at light load'] : [])
      end

      def over
        limit('charging.over_cap')
        judgement('act', 'Overcharging', weight: 'support', rules_in: ['Sense wire or regulator ground first, then regulator'],
                                         instead: 'Read the sense terminal under a lamp before the alternator is blamed')
      end

      def low
        judgement('act', 'Charges, but too low', weight: 'support', rules_in: ['Belt, output drop, case ground or regulator'],
                                                 instead: 'Output and case drop at current')
      end
    end
  end
end
