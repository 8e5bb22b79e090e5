# frozen_string_literal: true

module Wattomneum
  module Charging
    # One charging session from rest to hot: what each step means beside the one before, which no single reading says.
    class Session
      Figure = Quantities::Figure
      # A step of it: what it is counted from, and what the difference means.
      Line = Struct.new(:label, :arithmetic, :words, keyword_init: true)
      # More than the posts alone can make of it at fast idle (ours).
      SPEED_VOLT_SHARE = 0.025
      # What a regulator may be off from -18 mV a degree before it is worth a line, per 12 V (ours).
      COMPENSATION_VOLT = 0.25
      private_constant :Figure, :Line, :SPEED_VOLT_SHARE, :COMPENSATION_VOLT

      # @param readings [Array<Readings::Reading>] of one session; of each test the last one counts
      # @param system [Units::ElectricalSystem]
      # @param limits [Limits::Table]
      def initialize(readings, system:, limits: Limits::Table.shipped)
        @by_test = readings.select(&:value).sort_by(&:taken_at).to_h { |reading| [reading.test_key, reading] }
        @system = system
        @limits = limits
        freeze
      end

      # @return [Array<Line>] in the order of the session
      def lines = [heater, crank, idle, fast_idle, dash, loads, hot].compact

      # @return [Float, nil] regulated volts as they would be at 25 degC; nil where the temperature of the batteries was not said
      def corrected_volt = @by_test['charging_fast_idle']&.then { |reading| Session.at_reference(reading, @system, @limits) }

      # Formula: V - shift x (T - 25 degC), shift -18 mV a degree and 12 V.
      # Source: 3 mV per cell and degree, handbook, from memory.
      #
      # @param reading [Readings::Reading] of a charging voltage
      # @return [Float, nil]
      # @example 14.95 V at -5 degC on 12 V   # => 14.41
      def self.at_reference(reading, system, limits)
        celsius = reading.conditions.number('battery_temperature_celsius') or return
        reading.value - shift(system, limits, celsius - Regulation::REFERENCE_CELSIUS)
      end

      # @return [Float] volts by which a regulated voltage moves over so many degrees
      def self.shift(system, limits, degrees) = system.limit('charging.shift_per_degree', limits: limits).value * degrees

      private

      def line(label, from, to, &words)
        one, other = @by_test.values_at(from, to)
        return if one.nil? || other.nil?

        change = (other.value - one.value).round(3)
        Line.new(label: label, arithmetic: "#{other.spoken} - #{one.spoken} = #{format('%+.2f', change)} V", words: yield(change))
      end

      def least(id) = @system.limit(id, limits: @limits).value

      def heater
        line('Heater on', 'posts_rest', 'posts_heater') do |change|
          -change >= least('heater.dip_least') ? 'the heater draws' : 'no heater current to speak of'
        end
      end

      def crank
        line('Crank', 'posts_rest', 'posts_cranking') do |change|
          ampere = @by_test['cranking_current']&.value
          next 'what the bank gives for the starter' unless ampere&.positive?

          "#{Figure.ohm(-change / ampere)} of bank with its posts at #{Figure.ampere(ampere)}"
        end
      end

      def idle
        line('Idle', 'posts_rest', 'charging_idle') do
          charges_at_idle? ? 'it charges' : 'no charge yet: excitation, belt and output path, before the alternator'
        end
      end

      # As its judge has it: what the meter may be off does not say that it does not.
      # @return [Boolean, nil] nil where nobody read the posts at rest
      def charges_at_idle?
        rest, idle = @by_test.values_at('posts_rest', 'charging_idle')
        rest && (idle.value - rest.value).round(3) >= least('charging.rise_least') - Evidence::MeterError.volt(idle.value)
      end

      def fast_idle
        line('Fast idle', 'charging_idle', 'charging_fast_idle') do |change|
          next more_at_speed if change > SPEED_VOLT_SHARE * @system.system_volt

          change < -SPEED_VOLT_SHARE * @system.system_volt ? 'less at more speed: belt slips, or the regulator' : 'regulated at idle already'
        end
      end

      def more_at_speed
        case charges_at_idle?
        when nil then 'more at speed: read the posts at rest too, then it is told whether idle charges'
        when true then 'more at speed: idle charges, but slowly'
        else 'idle gives less than the unit takes: long idling empties the batteries'
        end
      end

      def dash
        line('Dash', 'charging_fast_idle', 'dash_gauge') do |change|
          next 'the gauge agrees' if change.abs <= least('charging.sense_within')

          "the gauge reads #{Figure.volt(change.abs)} too #{change.negative? ? 'low: its own feed or its marks, not the charging' : 'high'}"
        end
      end

      def loads
        line('Loads on', 'charging_fast_idle', 'charging_loaded') do |change|
          -change <= least('charging.loaded_within') ? 'the output carries the unit' : 'it sinks: output path first, then the alternator'
        end
      end

      def hot
        line('Hot', 'charging_fast_idle', 'charging_hot') { |change| heat_words(change) }
      end

      def heat_words(change)
        cold, hot = %w[charging_fast_idle charging_hot].map { |key| @by_test[key].conditions.number('battery_temperature_celsius') }
        return 'say both battery temperatures and it is held against what the heat explains' if cold.nil? || hot.nil?

        due = Session.shift(@system, @limits, hot - cold)
        said = "#{format('%+.2f', due)} V is due for #{Figure.trim(hot - cold, 0)} degrees"
        apart = change - due
        return "#{said}: it compensates" if apart.abs <= COMPENSATION_VOLT * @system.blocks_in_series

        "#{said}: #{apart.negative? ? 'output falls off in the heat' : 'it does not give way to the heat'}"
      end
    end
  end
end
