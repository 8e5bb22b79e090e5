# frozen_string_literal: true

module Wattomneum
  module Charging
    # A dash gauge is a hint; held against a meter once, its difference is worth storing.
    class DashGaugeJudge < Evidence::Judge
      # @return [Judgement]
      def call
        meter = companion('charging_fast_idle')
        sum("gauge #{reading.spoken} - meter #{meter.spoken} = #{format('%+.2f', value - meter.value)} V") if meter
        finding('dash_gauge.hint', 'unproven', weight: 'hint',
                  figures: meter ? { gauge_offset_volt: value - meter.value } : {},
                  traps: ['A low dash reading with right posts is a drop in the dash feed, not a charging fault'],
                  instead: meter ? nil : 'Read the posts with a meter in the same state')
      end
    end
  end
end
