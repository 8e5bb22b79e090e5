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
        spread > spread_limit ? odd_cell : charge
      end

      private

      def sealed?
        reading.battery && !reading.battery.open_cells?
      end

      def cells = reading.cells
      def spread = difference(cells.max, cells.min)

      # The one farthest from the median of the others, high or low. A dead cell is low; a high one was filled with acid, lost water or was drawn
      # at another depth, and condemns nothing.
      def odd_cell
        worst = cells.each_index.max_by { |index| (cells[index] - median(others(index))).abs }
        apart = difference(cells[worst], median(others(worst)))
        said = { cell: worst + 1, apart: format('%.3f', apart.abs) }
        return high_cell(worst, said) if apart.positive?

        finding('hydrometer.bad_cell', 'act', said: said, weight: 'proof', rules_in: ["Bad cell in battery #{reading.position}"],
                                              convicts: ['battery'])
      end

      def high_cell(cell, said)
        mean = others(cell).sum / (cells.size - 1)
        finding('hydrometer.high_cell', 'watch', said: said, weight: 'hint', instead: LEVEL_IT,
                                                 figures: { charge_percent: StateOfCharge.from_gravity(specific_gravity: corrected(mean)) })
      end

      LEVEL_IT = 'Ask whether acid or water went in, top up with water, charge to full, let it stand and draw again'
      private_constant :LEVEL_IT

      def others(cell) = cells.reject.with_index { |_, other| other == cell }
      def celsius = reading.conditions.number('battery_temperature_celsius') || StateOfCharge::REFERENCE_CELSIUS
      def corrected(gravity) = StateOfCharge.corrected_gravity(specific_gravity: gravity, electrolyte_celsius: celsius)

      def median(values) = Numerics::Median.of(values)

      # No cell of a lead-acid battery is charged beyond this (from memory: 1.265 full, 1.300 with strong acid).
      TOO_HIGH = 1.310
      private_constant :TOO_HIGH

      # All alike and wrong: what else it may be.
      def odd_round(gravity, percent)
        return ['All high: level low, too strong acid filled in, or the hydrometer is off'] if gravity > TOO_HIGH

        rest = circumstances.latest('rest_voltage', position: reading.position)
        rested = rest && Evidence::Judging.call(rest, circumstances).figures[:charge_percent]
        return [] unless rested && rested >= limit('battery.charge_least') && percent < limit('battery.charge_least')

        ['All low with good volts at rest: stratified or just watered; a hydrometer draws the top']
      end

      def charge
        mean = cells.sum / cells.size
        gravity = corrected(mean)
        percent = StateOfCharge.from_gravity(specific_gravity: gravity)
        sum("mean #{format('%.3f', mean)} at #{Figure.celsius(celsius)} = #{format('%.3f', gravity)} at 26.7 degC " \
            "= #{Figure.percent(percent)} charged")
        least = limit('battery.charge_least')
        verdict = percent < least ? 'watch' : 'sound'
        finding('hydrometer.together', verdict, said: { charged: Figure.percent(percent) }, weight: 'support',
                                                                              figures: { charge_percent: percent },
                                                                              traps: odd_round(gravity, percent),
                                                                              instead: ('Charge and retest' if percent < least))
      end
    end
  end
end
