# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Battery posts while cranking: does the bank hold, and did it have to.
    class PostsJudge < Evidence::Judge
      # Warmer than this the printed limit at about 20 degC holds (common practice).
      WARM_CELSIUS = 16.0

      # @param system [Units::ElectricalSystem]
      # @param reading [Readings::Reading]
      # @param limits [Limits::Table]
      # @param celsius [Float, nil] of the batteries
      # @return [Float] least volts at the posts, at the battery temperature where it was said
      def self.least_volt(system, reading, limits, celsius: reading.conditions.number('battery_temperature_celsius'))
        warm = system.limit('cranking.posts_least', limits: limits).value
        return warm if celsius.nil? || celsius >= WARM_CELSIUS

        Batteries::Tables.line('load_test_least_volt').clamped(celsius) * system.blocks_in_series
      end

      # @return [Judgement]
      def call
        sag_line
        return temperature_decides if celsius.nil? && verdicts_over_temperatures.uniq.size > 1

        @least = least_volt
        sum("#{Figure.volt(value)} - #{Figure.volt(@least)} = #{format('%+.2f', value - @least)} V")
        error = Evidence::MeterError.volt(value)
        case side(value, @least, error)
        when :over then holds
        when :under then falls
        else at_the_limit('posts.at_limit', error, said: said)
        end
      end

      # Where batteries are cranked, coldest and warmest (ours).
      PLAUSIBLE_CELSIUS = [-30.0, 40.0].freeze

      private

      def celsius = reading.conditions.number('battery_temperature_celsius')
      def said = { volt: Figure.volt(value) }

      # The coldest asks for least: does it matter how cold they were?
      def verdicts_over_temperatures
        error = Evidence::MeterError.volt(value)
        PLAUSIBLE_CELSIUS.map { |one| side(value, self.class.least_volt(system, reading, circumstances.limits, celsius: one), error) }
      end

      def temperature_decides
        cold, warm = PLAUSIBLE_CELSIUS.map { |one| self.class.least_volt(system, reading, circumstances.limits, celsius: one) }
        finding('posts.temperature_decides', 'unproven', said: said, validity: 'unstated', weight: 'none',
                  reasons: ["At least #{Figure.volt(cold)} at #{Figure.celsius(PLAUSIBLE_CELSIUS.first)}, #{Figure.volt(warm)} when warm"],
                  instead: 'Say the temperature of the batteries')
      end

      def least_volt
        least = self.class.least_volt(system, reading, circumstances.limits)
        if least == limit('cranking.posts_least')
          least
        else
          @limits_used.clear
          table_limit('battery.load_test_least', least, 'load_test_least_volt')
        end
      end

      def flow = @flow ||= Flow.new(reading, circumstances)

      def sag_line
        rest_volt = Flow.rest_volt(reading, circumstances)
        sum("sag #{Figure.volt(rest_volt)} - #{Figure.volt(value)} = #{Figure.volt(rest_volt - value)}") if rest_volt
        lowest_line
        sum(flow.estimate.arithmetic) if flow.estimate
      end

      # The dip as a starter bites is no measure of the bank: it is judged by what the posts settle at.
      def lowest_line
        lowest = reading.conditions.number('lowest_volt') or return
        sum("lowest #{Figure.volt(lowest)} as it bites: not judged")
      end

      def holds
        return loaded_and_holds if flow.adequate?

        trap = flow.estimate ? ["#{flow.estimate.arithmetic}: the bank was hardly loaded, so this proves little of it"] : []
        finding('posts.hold_hardly_loaded', 'sound', said: said, weight: 'support', traps: trap,
                  rules_out: flow.estimate ? ['A shorted starter or a locked engine: they would pull the posts down'] : [])
      end

      def loaded_and_holds
        finding('posts.hold_loaded', 'sound', said: said, weight: 'proof',
                                                                                    rules_out: ['Weak bank'])
      end

      def falls
        return lost if value < limit('cranking.posts_lost')

        rows = Table.new(circumstances, round: reading.round).matches
        finding('posts.fall', 'act', said: said, weight: 'support', rules_in: rows.map(&:reads_as).uniq,
                                                                convicts: [],
                                                                instead: 'Test the batteries apart, and clamp the current')
      end

      def lost
        finding('posts.lost', 'act', said: said,
                  weight: 'support', rules_in: ['A connection at the battery'])
      end
    end
  end
end
