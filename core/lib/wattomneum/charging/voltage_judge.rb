# frozen_string_literal: true

module Wattomneum
  module Charging
    # Charging voltage at the posts, idle or fast idle, loads off.
    class VoltageJudge < Evidence::Judge
      # A commanded alternator is judged against its setpoint within this (ours).
      SETPOINT_WITHIN_VOLT = 0.3

      # Where batteries are charged, coldest and warmest (ours).
      PLAUSIBLE_CELSIUS = [-30.0, 50.0].freeze

      # @return [Judgement]
      def call
        return over_cap if side(value, limit('charging.over_cap'), error) == :over
        return against_setpoint if reading.conditions.number('setpoint_volt')

        rise_line
        return not_commanded if system.regulator == 'commanded' && under_its_band?

        return no_rise if @rise_volt && side(@rise_volt, limit('charging.rise_least'), error) == :under
        return idle if reading.test_key == 'charging_idle' && value <= band.over_volt

        celsius ? against_band : without_temperature
      end

      private

      def celsius = reading.conditions.number('battery_temperature_celsius')
      def error = Evidence::MeterError.volt(value)
      def band_at(one) = Regulation.new(system, temperature_celsius: one, limits: circumstances.limits)
      def band = @band ||= band_at(celsius)

      # A control unit may have asked for so little: low volts prove nothing until it was commanded high.
      def under_its_band? = side(value, band.low_volt, error) == :under
      def not_commanded = ask('charging.not_commanded', 'Command it high, read the setpoint that the control unit gives, and say it')

      def rise_line
        rest = circumstances.latest('posts_rest', round: reading.round) or return
        @rise_volt = difference(value, rest.value)
        sum("rise #{reading.spoken} - #{rest.spoken} at rest = #{format('%+.2f', @rise_volt)} V")
      end

      def against_setpoint
        setpoint = reading.conditions.number('setpoint_volt')
        off = difference(value, setpoint)
        sum("#{Figure.volt(value)} - setpoint #{Figure.volt(setpoint)} = #{format('%+.2f', off)} V")
        return finding('charging.follows_setpoint', 'sound', weight: 'support') if off.abs <= SETPOINT_WITHIN_VOLT

        finding('charging.off_setpoint', 'act', weight: 'support',
                                                         rules_in: ['Alternator, its command line, or a drop on the way'])
      end

      def over_cap
        cap = limit('charging.over_cap')
        sum("#{Figure.volt(value)} against #{Figure.volt(cap)}, whatever the temperature or the setpoint")
        overcharging(cap)
      end

      def no_rise
        finding('charging.no_rise', 'act', weight: 'support', figures: { rise_volt: @rise_volt },
                  rules_in: ['Belt, excitation, sense, output cable or alternator'],
                  instead: 'Lamp, excitation, sense and output terminal before the alternator is condemned')
      end

      # What it regulates is told at speed. Without its volts at rest a low figure may be the battery alone.
      def idle
        return ask('charging.rest_decides', 'Read the posts at rest, engine stopped') if @rise_volt.nil? && place(band) == :too_low

        finding('charging.idle_rises', 'sound', weight: 'support')
      end

      # Judged wherever the batteries may be: one answer for all of it counts, two ask for the temperature.
      def without_temperature
        places = PLAUSIBLE_CELSIUS.map { |one| place(band_at(one)) }
        return ask('charging.temperature_decides', 'Say the temperature of the batteries') if places.uniq.size > 1 && place(band) != :in_band

        against_band
      end

      def ask(code, instead)
        finding(code, 'unproven', said: { volt: Figure.volt(value) }, validity: 'unstated', weight: 'none', instead: instead)
      end

      # Where the voltage lies in a band: what it is judged as.
      def place(band)
        return :over if side(value, band.over_volt, error) == :over
        return :high if side(value, band.high_volt, error) == :over
        return :in_band if side(value, band.low_volt, error) != :under
        return :low_steady if side(value, band.steady_volt, error) != :under

        side(value, band.floor_volt, error) == :under ? :too_low : :low
      end

      def against_band
        band.limit_ids.each { |id| limit(id) }
        sum("band at #{Figure.celsius(celsius || Regulation::REFERENCE_CELSIUS)}: #{Figure.volt(band.low_volt)} to " \
            "#{Figure.volt(band.high_volt)}, overcharging over #{Figure.volt(band.over_volt)}")
        where = place(band)
        return ask_type if %i[over high].include?(where) && band.type_unknown?

        case where
        when :over then hot_and_steady? ? watched_heat : overcharging(band.over_volt)
        when :high then watch('charging.high', rules_in: ['Sense wire, or an alternator whose regulator holds a little much'])
        when :in_band then in_band
        when :low_steady, :low then low(where)
        else too_low
        end
      end

      def hot_and_steady? = celsius && celsius > Regulation::REFERENCE_CELSIUS && side(value, band.hot_volt, error) != :over

      def watched_heat
        limit('charging.hot_most')
        watch('charging.hot')
      end

      def ask_type
        ask('charging.type_decides', 'Enter the batteries with their type')
      end

      def watch(code, **rest) = finding(code, 'watch', weight: 'support', **approximate, **rest)

      def approximate
        celsius ? {} : { validity: 'approximate', reasons: ['Battery temperature not said: judged at 25 degC'] }
      end

      def in_band
        finding('charging.in_band', 'sound', weight: 'support', **approximate, rules_out: ['Regulator and output at light load'])
      end

      def overcharging(most_volt)
        finding('charging.over', 'act', weight: 'support', figures: { over_by_volt: value - most_volt },
                                         rules_in: ['Sense wire or regulator ground first, then regulator'],
                                         instead: 'Read the sense terminal under load against the posts now, before the alternator is blamed')
      end

      # Many regulators do not compensate, and a control unit may command it.
      def low(where)
        watch("charging.#{where}",
              instead: 'Ask for the regulator and its setpoint, then read under load')
      end

      def too_low
        finding('charging.too_low', 'act', weight: 'support', rules_in: ['Belt, output drop, case ground or regulator'],
                                                 instead: 'Output and case drop at current')
      end
    end
  end
end
