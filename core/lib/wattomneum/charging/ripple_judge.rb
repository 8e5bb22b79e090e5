# frozen_string_literal: true

module Wattomneum
  module Charging
    # Ripple at the posts with loads on: diodes, or something that should have smoothed it.
    class RippleJudge < Evidence::Judge
      # @return [Judgement]
      def call
        most = limit(reading.unit.end_with?('pp') ? 'charging.ripple_peak' : 'charging.ripple_meter')
        sum("#{reading.spoken} against #{most} #{reading.unit.delete_prefix('m')}")
        return fine if value <= most

        finding('ripple.high', 'act', weight: 'support', instead: 'Again at B+ with a scope parts the three',
                                            rules_in: ['A diode', 'A weak battery', 'An open output joint'])
      end

      private

      def fine
        finding('ripple.low', 'sound', weight: 'support', rules_out: ['Open or shorted diode'])
      end
    end
  end
end
