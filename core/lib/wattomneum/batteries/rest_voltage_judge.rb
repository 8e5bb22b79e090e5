# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Rest voltage of one battery: state of charge, surface charge, and what may be tested next.
    class RestVoltageJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return surface_charge if six_cells_volt > limit(surface_limit)

        charged = StateOfCharge.from_rest_voltage(rest_volt: six_cells_volt, recombinant: recombinant?)
        sum("#{Figure.volt(value)}#{of_six_cells} at rest = #{Figure.percent(charged)} charged (#{table_name} table, 25 degC)")
        charging_unsaid? ? was_it_charged : with_validity(charged)
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
        limit('battery.cell_gone') if low?(value)
        code, verdict = found(charged, least)
        said = { volt: Figure.volt(value), charged: Figure.percent(charged) }
        finding(code, verdict, said: said, reasons: reasons,
                                    weight: shorted_cell? ? 'proof' : 'hint', validity: approximate_reason ? 'approximate' : 'valid',
                                    figures: { charge_percent: charged, rest_volt: value },
                                    rules_in: charged < least ? ["Battery #{reading.position} discharged"] : [],
                                    instead: charged < least ? 'Charge it, let it rest, test again' : nil,
                                    convicts: shorted_cell? ? ['battery'] : [], traps: shorted_cell? ? [STAYED_LOW] : [])
      end

      STAYED_LOW = 'It did not come up with charging. One that gets hot on the charger is taken off it at once'
      private_constant :STAYED_LOW

      # Low, charged, and low again; or low with one cell far under the others.
      def shorted_cell?
        return @shorted_cell if defined?(@shorted_cell)

        @shorted_cell = low?(value) && ((charged_since? && low_before?) || odd_cell?)
      end

      # Low again: it is a cell, or nobody charged it. Unsaid it would be charged without end.
      def charging_unsaid?
        low?(value) && low_before? && !odd_cell? && !%i[yes no].include?(reading.conditions.said('charged_since'))
      end

      def was_it_charged
        limit('battery.cell_gone')
        finding('rest.low_again', 'unproven', said: { volt: Figure.volt(value) }, validity: 'unstated', weight: 'none',
                                              instead: Evidence::Conditions::DEFINITIONS.fetch('charged_since')['unsaid'])
      end

      def low?(volt) = volt.to_f < circumstances.limits.fetch('battery.cell_gone').value * system.blocks_per_battery
      def charged_since? = reading.conditions.said('charged_since') == :yes
      def low_before? = of_this_battery(reading.test_key).any? { |other| other.taken_at < reading.taken_at && low?(other.value) }

      def odd_cell?
        of_this_battery('hydrometer').any? { |other| Evidence::Judging.call(other, circumstances).code == 'hydrometer.bad_cell' }
      end

      def of_this_battery(test_key)
        circumstances.readings.select do |other|
          other.test_key == test_key && other.position == reading.position && other.battery&.tag == reading.battery&.tag
        end
      end

      def found(charged, least)
        return %w[rest.shorted_cell act] if shorted_cell?
        return %w[rest.flat watch] if low?(value)

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
