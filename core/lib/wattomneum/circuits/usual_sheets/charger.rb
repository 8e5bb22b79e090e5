# frozen_string_literal: true

module Wattomneum
  module Circuits
    class UsualSheets
      # What charges, as rows of a sheet: an alternator that excites itself through its lamp, one with a regulator beside it, or a converter
      # that the key enables. Its output goes on to the link that every charge circuit has.
      class Charger
        # @param system [Units::ElectricalSystem]
        # @param back [String] where small returns meet
        def initialize(system, back:)
          @system = system
          @back = back
          @ratio = system.blocks_in_series
        end

        # @return [Array<String>]
        def parts = [*lamp, *regulator, source]

        # @return [Array<String>]
        def wires = [bracket, *excitation, *sense]

        # @return [Hash{Symbol => String}]
        def places
          { alternator_output: 'G:B+', alternator_case: 'G:case', excitation_terminal: "G:#{excited_by}", charge_lamp: ('H1:1' if lamp?),
            sense_terminal: ('G:S' if senses?) }.compact
        end

        private

        def external? = @system.regulator_outside?
        def lamp? = !external? && !@system.converter?
        def senses? = @system.has_sense && !external?

        def excited_by
          return 'D+' unless external?

          @system.regulator == 'external_a' ? 'F1' : 'F'
        end

        def bracket = "{ number: bracket, from: G:case, to: #{@system.insulated? ? @back : 'BLOCK'}, ohm: 0.00015 }"
        def sense = senses? ? ['{ number: 34, from: FEED, to: G:S, ohm: 0.02 }'] : []

        def lamp
          return [] unless lamp?

          ["{ id: H1, kind: load, label: Charge lamp, ohm: #{48 * @ratio}, works_from_volt: #{4 * @ratio}, works_in: [key_on, cranking] }"]
        end

        # A regulator outside by its terminals: its supply and ground, what it senses, and the field that it feeds (B) or grounds (A).
        def regulator
          return [] unless external?

          role = @system.regulator == 'external_a' ? 'low_side' : 'high_side'
          ["{ id: U1, kind: control_unit, label: Regulator, runs_from_volt: #{5 * @ratio}, draws_ohm: #{100 * @ratio}, pins: [" \
           '{ pin: supply, role: supply }, { pin: ground, role: ground }, { pin: sense, role: input, ohm: 50000 }, ' \
           "{ pin: field, role: #{role}, ohm: 0.4, active_in: [key_on, cranking, running] }] }"]
        end

        def source
          return "{ id: G, kind: alternator, label: Alternator, sense: #{@system.has_sense} }" if lamp?
          return converter if @system.converter?

          "{ id: G, kind: alternator, label: Alternator, field: true, field_grounded: #{@system.regulator == 'external_a'}, " \
            "rotor_ohm: #{5.5 * @ratio}, excited_from_volt: #{4 * @ratio} }"
        end

        # Its input belongs to another system; seen from here it is a source that works while it is enabled.
        def converter
          "{ id: G, kind: alternator, label: DC/DC converter, sense: #{@system.has_sense}, rotor_ohm: #{200 * @ratio}, " \
            "excited_from_volt: #{8 * @ratio}, volt: #{CONVERTER_VOLT * @ratio} }"
        end

        # What a converter for 12 V is usually set to (common practice).
        CONVERTER_VOLT = 13.8
        private_constant :CONVERTER_VOLT

        def excitation
          return ['{ number: 36, from: F3:2, to: G:D+, ohm: 0.05 }'] if @system.converter?
          return ['{ number: 36, from: F3:2, to: H1:1, ohm: 0.02 }', '{ number: 37, from: H1:2, to: G:D+, ohm: 0.1 }'] if lamp?

          ['{ number: 41, from: F3:2, to: "U1:supply", ohm: 0.02 }', "{ number: 42, from: \"U1:ground\", to: #{@back}, ohm: 0.01 }",
           '{ number: 43, from: FEED, to: "U1:sense", ohm: 0.05 }', *field_wires]
        end

        def field_wires
          return ['{ number: 44, from: "U1:field", to: G:F, ohm: 0.02 }'] unless @system.regulator == 'external_a'

          ['{ number: 44, from: F3:2, to: G:F1, ohm: 0.02 }', '{ number: 45, from: G:F2, to: "U1:field", ohm: 0.02 }']
        end
      end
    end
  end
end
