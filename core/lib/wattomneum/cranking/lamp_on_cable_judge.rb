# frozen_string_literal: true

module Wattomneum
  module Cranking
    # A test lamp on a start cable: sees ohms, never the milliohms that stop a starter.
    class LampOnCableJudge < Evidence::Judge
      LAMP_AMPERE = 2.0

      # @return [Judgement]
      def call
        revealed = Evidence::LoadAdequacy.smallest_revealed_ohm(
          supply_volt: system.system_volt, load_ampere: LAMP_AMPERE, noticed_share: limit('evidence.lamp_dims_visibly') / 100.0
        )
        failing = Evidence::LoadAdequacy.failing_ohm(limit_volt: limit('drop.ground_cranking'),
                                                     working_ampere: system.usual_cranking_current_ampere)
        sum("a lamp of #{Figure.ampere(LAMP_AMPERE)} shows #{Figure.ohm(revealed)} at best; " \
            "#{Figure.ohm(failing)} is enough to fail the path")
        reading.observation == 'bright' ? nothing_proved(failing) : ohms_in_path
      end

      private

      def nothing_proved(failing)
        finding('cable_lamp.bright', 'unproven', weight: 'hint',
                  traps: ["It would have to show #{Figure.ohm(failing)}"],
                  instead: 'Read the drop while cranking, or pull 300 to 500 A with a pile')
      end

      def ohms_in_path
        finding('cable_lamp.dim', 'act', weight: 'support',
                                                                            rules_in: ['Feed or ground nearly open'])
      end
    end
  end
end
