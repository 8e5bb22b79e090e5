# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Specific gravity of the six cells: state of charge, and a cell that has gone its own way.
    class HydrometerJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return void('This type has no cells to draw from', instead: 'Use rest voltage and the tester') if sealed?

        spread_limit = limit('battery.cell_spread')
        sum("highest #{format('%.3f', cells.max)} - lowest #{format('%.3f', cells.min)} = #{format('%.3f', spread)} SG")
        spread > spread_limit ? bad_cell : charge
      end

      private

      def sealed?
        reading.battery && !reading.battery.open_cells?
      end

      def cells = reading.cells
      def spread = difference(cells.max, cells.min)

      def bad_cell
        worst = cells.index(cells.min) + 1
        judgement('act', "Cell #{worst} from the positive end is #{format('%.3f', spread)} SG under the best: bad cell",
                  weight: 'proof', rules_in: ["Bad cell in battery #{reading.position}"], convicts: ['battery'])
      end

      def charge
        celsius = reading.conditions.number('battery_temperature_celsius') || StateOfCharge::REFERENCE_CELSIUS
        mean = cells.sum / cells.size
        corrected = StateOfCharge.corrected_gravity(specific_gravity: mean, electrolyte_celsius: celsius)
        percent = StateOfCharge.from_gravity(specific_gravity: corrected)
        sum("mean #{format('%.3f', mean)} at #{Figure.celsius(celsius)} = #{format('%.3f', corrected)} at 26.7 degC " \
            "= #{Figure.percent(percent)} charged")
        least = limit('battery.charge_least')
        verdict = percent < least ? 'watch' : 'sound'
        judgement(verdict, "#{Figure.percent(percent)} charged, cells together", weight: 'support',
                                                                              figures: { charge_percent: percent },
                                                                              instead: ('Charge and retest' if percent < least))
      end
    end
  end
end
