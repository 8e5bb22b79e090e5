# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Volts of the whole bank at rest: where sag and charging rise are counted from.
    class PostsRestJudge < Evidence::Judge
      # @return [Judgement]
      def call
        per_battery = value / system.blocks_in_series
        charged = Batteries::StateOfCharge.from_rest_voltage(rest_volt: per_battery)
        least = limit('battery.charge_least')
        sum("#{Figure.volt(per_battery)} a battery of six cells = about #{Figure.percent(charged)} charged, bank together")
        verdict = charged < least ? 'watch' : 'sound'
        finding('posts.at_rest', verdict, said: { volt: Figure.volt(value) }, weight: 'hint', figures: { rest_volt: value },
                                                                           traps: bank_trap)
      end

      private

      def bank_trap
        system.parallel? ? ['Joined batteries read alike: only apart does each show its own charge'] : []
      end
    end
  end
end
