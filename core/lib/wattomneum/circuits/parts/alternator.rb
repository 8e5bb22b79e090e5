# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Parts
      # An alternator with its regulator: a source from case to B+ that works while it turns and is excited. Its rotor hangs on
      # D+ until it runs, which is what lights the charge lamp; running, D+ stands at the regulated volts and the lamp goes out.
      class Alternator < Part
        VOLT_PER_12 = 14.2
        OUTPUT_OHM = 0.004
        ROTOR_OHM = 9.0
        TRIO_OHM = 0.1
        # Less than this on D+ or on its exciter and it stays cold (common practice).
        EXCITED_FROM_VOLT = 0.6
        SENSE_OHM = 100_000.0

        def pins = ['B+', 'case', *exciters, *('S' if fields['sense']), *('W' if fields['w_terminal'])]

        def stud?(pin) = pin == 'B+'

        def branches
          [branch('B+', 'case', number('ohm', OUTPUT_OHM), volt: volt, gate: :driven, driver: driver, name: 'output'),
           branch(exciter, field_ground, number('rotor_ohm', ROTOR_OHM), name: 'rotor'),
           *trio, *sense]
        end

        def watches
          [Watch.new(key: id, label: "#{label} charges", kind: 'source', from: node('B+'), to: node('case'),
                     least_volt: volt * CHARGES_RATIO, codes: fields.fetch('codes', []).map(&:to_s))]
        end

        # @return [Array(String, String)] pins of the field winding, the live one first
        def field_pins = [exciter, field_ground]

        CHARGES_RATIO = 0.95
        private_constant :CHARGES_RATIO

        private

        # D+ where it excites itself through the lamp; a field terminal where a regulator outside feeds it, and both ends of the field where
        # one grounds it.
        def exciters
          return %w[F1 F2] if grounded_outside?

          fields['field'] ? %w[F] : %w[D+]
        end

        def exciter = exciters.first
        def grounded_outside? = fields['field'] && fields['field_grounded']
        def field_ground = grounded_outside? ? 'F2' : 'case'
        def turning = (fields['active_in'] || ['running']).map(&:to_s)
        def volt = number('volt') || (VOLT_PER_12 * system_volt / 12.0)

        def driver
          excited = PartBranch::Need.new(pin: node(exciter), least_volt: number('excited_from_volt', EXCITED_FROM_VOLT))
          PartBranch::Driver.new(states: turning, ground: node(field_ground), needs: [excited])
        end

        def trio
          return [] if fields['field']

          [branch(exciter, 'case', TRIO_OHM, volt: volt, gate: :driven, driver: driver, name: 'diode trio')]
        end

        def sense = fields['sense'] ? [branch('S', 'case', number('sense_ohm', SENSE_OHM), name: 'sense input')] : []
      end
    end
  end
end
