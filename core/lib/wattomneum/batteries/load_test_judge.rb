# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Carbon pile test: half the rating for 15 s, least volts by the battery's temperature.
    class LoadTestJudge < Evidence::Judge
      # A pile within this share of half the rating, this long, counts as the right load (common practice).
      LOAD_TOLERANCE = 0.10
      SECONDS = (13.0..20.0)
      USUAL_SECONDS = 15.0

      # @return [Judgement]
      def call
        charge = circumstances.charge_percent(reading)
        return void('load_test.uncharged', instead: 'Take its rest voltage first') if charge.nil? || charge < limit('battery.charge_least')

        judged
      end

      private

      def celsius = reading.conditions.number('battery_temperature_celsius') || 21.0
      def load_ampere = reading.conditions.number('load_ampere')

      def half_rating
        reading.battery && (reading.battery.rating.sae_ampere / 2)
      end

      def seconds = reading.conditions.number('load_seconds') || USUAL_SECONDS

      # Harder on the battery than the test asks: passed is passed.
      def harder? = seconds > SECONDS.end || (half_rating && load_ampere && load_ampere > half_rating * (1 + LOAD_TOLERANCE))

      # Easier on it: failed is failed.
      def easier? = seconds < SECONDS.begin || (half_rating && load_ampere && load_ampere < half_rating * (1 - LOAD_TOLERANCE))

      def off_its_load(words)
        taken = ["#{Figure.trim(seconds, 0)} s", *(Figure.ampere(load_ampere) if load_ampere)].reverse.join(' for ')
        void('load_test.off_its_load', said: { taken: taken, side: words },
             instead: half_rating ? "Pile to #{Figure.ampere(half_rating)} for 15 s" : 'Pile to half the rating for 15 s')
      end

      def judged
        least = table_limit('battery.load_test_least', Tables.line('load_test_least_volt').clamped(celsius) * system.blocks_per_battery,
                            'load_test_least_volt')
        sum("least at #{Figure.celsius(celsius)} = #{Figure.volt(least)}")
        sum("#{Figure.volt(value)} - #{Figure.volt(least)} = #{format('%+.2f', value - least)} V")
        error = Evidence::MeterError.volt(value)
        return at_the_limit('load_test.at_limit', error, said: said) if side(value, least, error) == :at

        value > least ? passed : failed
      end

      # The rating by another standard is a rule of thumb, and so is half of it; so is a charge that nobody let settle.
      def validity = reading.battery&.rating&.converted? || approximate_charge? ? 'approximate' : 'valid'

      def said = { volt: Figure.volt(value) }

      def passed
        return off_its_load('easier') if easier?

        finding('load_test.holds', 'sound', said: said, weight: 'proof', validity: validity,
                                                                     rules_out: ["Battery #{reading.position} as the cause"])
      end

      def failed
        return off_its_load('harder') if harder?

        finding('load_test.falls', 'act', said: said, weight: 'proof', validity: validity, convicts: ['battery'],
                                                                            rules_in: ["Battery #{reading.position} worn out"])
      end
    end
  end
end
