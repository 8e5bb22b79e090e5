# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Carbon pile test: half the rating for 15 s, least volts by the battery's temperature.
    class LoadTestJudge < Evidence::Judge
      # A pile within this share of half the rating counts as the right load (common practice).
      LOAD_TOLERANCE = 0.10

      # @return [Judgement]
      def call
        charge = circumstances.charge_percent(reading)
        if charge.nil? || charge < limit('battery.charge_least')
          return void('Not known to be charged: charge and retest, no verdict', instead: 'Take its rest voltage first')
        end
        return light_load if too_light?

        judged
      end

      private

      def celsius = reading.conditions.number('battery_temperature_celsius') || 21.0
      def load_ampere = reading.conditions.number('load_ampere')

      def half_rating
        reading.battery && (reading.battery.rating.sae_ampere / 2)
      end

      def too_light?
        load_ampere && half_rating && load_ampere < half_rating * (1 - LOAD_TOLERANCE)
      end

      def light_load
        void("#{Figure.ampere(load_ampere)} is too light: half the rating is #{Figure.ampere(half_rating)}",
             instead: "Pile to #{Figure.ampere(half_rating)} for 15 s")
      end

      def judged
        least = table_limit('battery.load_test_least', Tables.line('load_test_least_volt').clamped(celsius),
                            'load_test_least_volt')
        sum("least at #{Figure.celsius(celsius)} = #{Figure.volt(least)}")
        sum("#{Figure.volt(value)} - #{Figure.volt(least)} = #{format('%+.2f', value - least)} V")
        if value >= least
          judgement('sound', "Holds #{Figure.volt(value)} under load", weight: 'proof',
                                                                       rules_out: ["Battery #{reading.position} as the cause"])
        else
          judgement('act', "Falls to #{Figure.volt(value)} under load: done", weight: 'proof', convicts: ['battery'],
                                                                              rules_in: ["Battery #{reading.position} worn out"])
        end
      end
    end
  end
end
