# frozen_string_literal: true

module Wattomneum
  module Evidence
    # Ohms of a control wire end to end: convicts when open, is a hint when it looks whole.
    class WireOhmsJudge < Judge
      # Step of a common meter on its lowest range (common practice).
      METER_RESOLUTION_OHM = 0.1
      # A value has to stand this many steps clear of zero to mean anything (common practice).
      STEPS_TO_TRUST = 5
      SIGNAL_AMPERE = 20.0

      # @return [Judgement]
      def call
        objections = ResistancePreconditions.objections(
          resistance_ohm: value, voltage_across_volt: reading.conditions.number('voltage_across_volt'),
          reversed_ohm: reading.conditions.number('reversed_ohm'), limits: circumstances.limits
        )
        return void(objections.first, instead: 'Free both ends, switch off, prove 0 V, measure again') if objections.any?
        return open_wire if reading.overload

        close_or_high
      end

      private

      def open_wire
        judgement('act', 'OL: the wire is open', weight: 'support', rules_in: ['Break in the start signal wire'])
      end

      def close_or_high
        failing = LoadAdequacy.failing_ohm(limit_volt: limit('cranking.signal_below_posts'),
                                           working_ampere: SIGNAL_AMPERE)
        sum("limit / current = #{Figure.volt(limit('cranking.signal_below_posts'))} / #{Figure.ampere(SIGNAL_AMPERE)} = " \
            "#{Figure.ohm(failing)}; #{STEPS_TO_TRUST} x meter step = #{Figure.ohm(STEPS_TO_TRUST * METER_RESOLUTION_OHM)}")
        return high if value > STEPS_TO_TRUST * METER_RESOLUTION_OHM

        judgement('unproven', 'Reads whole, but what would fail it is below what this meter can tell', weight: 'hint',
                  traps: ['At the resolution of the meter and its leads: one strand reads the same as a sound wire'],
                  instead: 'Read the signal at the solenoid while cranking')
      end

      def high
        judgement('act', "#{Figure.ohm(value)} in a wire that feeds a solenoid", weight: 'support',
                  rules_in: ['Resistance in the start signal wire'])
      end
    end
  end
end
