# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Cranking current against what this engine usually takes.
    class CurrentJudge < Evidence::Judge
      # @return [Judgement]
      def call
        usual = system.usual_cranking_current_ampere
        share = 100.0 * value / usual
        sum("#{Figure.ampere(value)} / usual #{Figure.ampere(usual)} = #{Figure.percent(share)}")
        bank_resistance
        return too_high(share) if share > limit('cranking.current_high')
        return too_low(share) if share < limit('cranking.current_low')

        judgement('sound', "#{Figure.percent(share)} of the usual current", weight: 'support', figures: @figures,
                                                                       rules_out: ['Locked engine or shorted starter'])
      end

      private

      def bank_resistance
        rest = circumstances.latest('posts_rest', round: reading.round)
        posts = companion('posts_cranking')
        return @figures = {} if rest.nil? || posts.nil? || value <= 0

        ohm = Batteries::InternalResistance.measured(rest_volt: rest.value, cranking_volt: posts.value,
                                                     current_ampere: value)
        sum("bank = (#{Figure.volt(rest.value)} - #{Figure.volt(posts.value)}) / #{Figure.ampere(value)} = #{Figure.ohm(ohm)}")
        @figures = { bank_resistance_ohm: ohm }
      end

      def rows = Table.new(circumstances, round: reading.round).matches.map(&:reads_as).uniq

      def too_high(share)
        judgement('act', "#{Figure.percent(share)} of the usual: something drags or is shorted", figures: @figures,
                                                                                           rules_in: rows)
      end

      def too_low(share)
        judgement('watch', "Only #{Figure.percent(share)} of the usual: resistance in the path, or contacts open",
                  figures: @figures, rules_in: rows, rules_out: ['Locked engine or shorted starter'])
      end
    end
  end
end
