# frozen_string_literal: true

module Wattomneum
  module Batteries
    # Specific gravity of the six cells: state of charge, and a cell that has gone its own way.
    class HydrometerJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return void('hydrometer.sealed', instead: 'Use rest voltage and the tester') if sealed?

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

      # The one farthest from the median of the others, high or low.
      def bad_cell
        worst = cells.each_index.max_by { |index| (cells[index] - median(cells.reject.with_index { |_, other| other == index })).abs }
        apart = difference(cells[worst], median(cells.reject.with_index { |_, other| other == worst }))
        said = { cell: worst + 1, apart: format('%.3f', apart.abs), side: apart.negative? ? 'under' : 'over' }
        finding('hydrometer.bad_cell', 'act', said: said, weight: 'proof', rules_in: ["Bad cell in battery #{reading.position}"],
convicts: ['battery'])
      end

      def median(values) = Numerics::Median.of(values)

      # No cell of a lead-acid battery is charged beyond this (from memory: 1.265 full, 1.300 with strong acid).
      TOO_HIGH = 1.310
      private_constant :TOO_HIGH

      # All alike and wrong: what else it may be.
      def odd_round(corrected, percent)
        return ['All high: level low, too strong acid filled in, or the hydrometer is off'] if corrected > TOO_HIGH

        rest = circumstances.latest('rest_voltage', position: reading.position)
        rested = rest && Evidence::Judging.call(rest, circumstances).figures[:charge_percent]
        return [] unless rested && rested >= limit('battery.charge_least') && percent < limit('battery.charge_least')

        ['All low with good volts at rest: stratified or just watered; a hydrometer draws the top']
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
        finding('hydrometer.together', verdict, said: { charged: Figure.percent(percent) }, weight: 'support',
                                                                              figures: { charge_percent: percent },
                                                                              traps: odd_round(corrected, percent),
                                                                              instead: ('Charge and retest' if percent < least))
      end
    end
  end
end
