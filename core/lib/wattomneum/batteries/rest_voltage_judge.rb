# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Rest voltage of one battery: state of charge, surface charge, and what may be tested next.
    class RestVoltageJudge < Evidence::Judge
      # Over this a single 12 V battery is on charge or not a 12 V battery; under the second a cell is likely gone.
      DEAD_CELL_VOLT = 10.6

      # @return [Judgement]
      def call
        return surface_charge if six_cells_volt > limit(surface_limit)

        charged = StateOfCharge.from_rest_voltage(rest_volt: six_cells_volt, recombinant: recombinant?)
        sum("#{Figure.volt(value)}#{of_six_cells} at rest = #{Figure.percent(charged)} charged (#{table_name} table, 25 degC)")
        with_validity(charged)
      end

      private

      def battery = reading.battery
      def six_cells_volt = value / system.blocks_per_battery
      def of_six_cells = system.blocks_per_battery == 1 ? '' : ", #{Figure.volt(six_cells_volt)} of six cells,"
      def recombinant? = battery&.recombinant? || false
      def table_name = recombinant? ? 'AGM and gel' : 'flooded'
      def surface_limit = recombinant? ? 'battery.surface_charge_agm' : 'battery.surface_charge_flooded'

      def surface_charge
        void('rest.surface_charge', said: { volt: Figure.volt(value) },
             instead: 'Headlamps on for two minutes, off for five, then read again',
             traps: ['A battery just off the charger reads high whatever its state'])
      end

      def rested?
        conditions = reading.conditions
        return true if conditions.said('surface_charge_removed') == :yes

        hours = conditions.number('hours_rested')
        return false if hours.nil?

        hours >= limit(recombinant? ? 'battery.rest_hours_agm' : 'battery.rest_hours_flooded')
      end

      def with_validity(charged)
        least = limit('battery.charge_least')
        reasons = [*approximate_reason, *frozen_reason(charged)]
        code, verdict = found(charged, least)
        said = { volt: Figure.volt(value), charged: Figure.percent(charged) }
        finding(code, verdict, said: said, weight: 'hint', validity: approximate_reason ? 'approximate' : 'valid', reasons: reasons,
                                    figures: { charge_percent: charged, rest_volt: value },
                                    rules_in: charged < least ? ["Battery #{reading.position} discharged"] : [],
                                    instead: charged < least ? 'Charge it, let it rest, test again' : nil,
                                    convicts: shorted_cell? ? ['battery'] : [], traps: shorted_cell? ? [STAYED_LOW] : [])
      end

      STAYED_LOW = 'It did not come up with charging. One that gets hot on the charger is taken off it at once'
      private_constant :STAYED_LOW

      # Low before, charged, and low again.
      def shorted_cell?
        six_cells_volt < DEAD_CELL_VOLT && circumstances.readings.any? do |other|
          other.test_key == reading.test_key && other.position == reading.position && other.battery&.tag == reading.battery&.tag &&
            other.taken_at < reading.taken_at && other.value.to_f < DEAD_CELL_VOLT * system.blocks_per_battery
        end
      end

      def found(charged, least)
        return %w[rest.shorted_cell act] if shorted_cell?
        return %w[rest.flat watch] if six_cells_volt < DEAD_CELL_VOLT

        charged < least ? %w[rest.discharged watch] : %w[rest.charged sound]
      end

      def approximate_reason
        return if rested?

        'Rest not known to be long enough: take the charge as approximate'
      end

      def frozen_reason(charged)
        celsius = reading.conditions.number('battery_temperature_celsius')
        freezing = StateOfCharge.freezing_celsius(charge_percent: charged)
        return if celsius.nil? || celsius > freezing

        "May be frozen: at this charge the electrolyte freezes at about #{Figure.celsius(freezing)}. " \
          "#{Safety::Cautions.fetch_all(['frozen_battery']).first.text}"
      end
    end
  end
end
