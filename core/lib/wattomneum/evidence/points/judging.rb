# frozen_string_literal: true

module Wattomneum
  module Evidence
    module Points
      # Judges one reading between two points by the way it was measured.
      module Judging
        JUDGES = { 'volts' => VoltsJudge, 'ohms' => OhmsJudge, 'current' => CurrentJudge, 'lamp' => LampJudge, 'seen' => SeenJudge }.freeze

        # @param reading [Readings::PointReading]
        # @param circumstances [Circumstances]
        # @return [Judgement]
        def self.call(reading, circumstances)
          circumstances.tests.moment.held_against(JUDGES.fetch(reading.probe.by).new(reading, circumstances).call)
        end
      end
    end
  end
end
