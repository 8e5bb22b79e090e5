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
        if objections.any?
          return void('wire_ohms.void', said: { objection: objections.first },
instead: 'Free both ends, switch off, prove 0 V, measure again')
        end
        return open_wire if reading.overload

        close_or_high
      end

      private

      def open_wire
        finding('wire_ohms.open', 'act', weight: 'support', rules_in: ['Break in the start signal wire'])
      end

      def close_or_high
        failing = LoadAdequacy.failing_ohm(limit_volt: limit('cranking.signal_below_posts'),
                                           working_ampere: SIGNAL_AMPERE)
        sum("limit / current = #{Figure.volt(limit('cranking.signal_below_posts'))} / #{Figure.ampere(SIGNAL_AMPERE)} = " \
            "#{Figure.ohm(failing)}; #{STEPS_TO_TRUST} x meter step = #{Figure.ohm(STEPS_TO_TRUST * METER_RESOLUTION_OHM)}")
        return high if value > STEPS_TO_TRUST * METER_RESOLUTION_OHM

        finding('wire_ohms.whole', 'unproven', weight: 'hint',
                  traps: ['At the resolution of the meter and its leads: one strand reads the same as a sound wire'],
                  instead: 'Read the signal at the solenoid while cranking')
      end

      def high
        finding('wire_ohms.high', 'act', said: { ohm: Figure.ohm(value) }, weight: 'support',
                  rules_in: ['Resistance in the start signal wire'])
      end
    end
  end
end
