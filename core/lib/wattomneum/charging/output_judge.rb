# frozen_string_literal: true

module Wattomneum
  module Charging
    # Alternator output by clamp while a pile pulls the system down: against the rating.
    class OutputJudge < Evidence::Judge
      # @return [Judgement]
      def call
        rating = system.alternator_rating_ampere
        if rating.nil?
          return void('output.no_rating',
                      instead: 'Enter its rating on the unit, then this reading counts')
        end

        limit(hot? ? 'charging.output_hot' : 'charging.output_cold')
        sum("#{Figure.ampere(value)} / #{Figure.ampere(rating)} rated = #{Figure.percent(100.0 * value / rating)}")
        least = rating * limit(hot? ? 'charging.output_hot' : 'charging.output_cold') / 100.0
        case side(value, least, Evidence::MeterError.ampere(value))
        when :over then sound
        when :under then weak
        else about_enough
        end
      end

      private

      def hot? = reading.conditions.said('alternator_hot') == :yes

      def about_enough
        finding('output.about', 'watch', weight: 'support', instead: 'Zero the clamp and read again')
      end

      def sound
        finding('output.sound', 'sound', weight: 'proof', clears: ['alternator'], rules_out: ['Weak output'])
      end

      def weak
        finding('output.weak', 'act', weight: 'proof', convicts: ['alternator'],
                  rules_in: ['Belt, excitation, case ground, a diode, or the alternator with its regulator'],
                  instead: 'Belt, feeds and case ground before it is condemned')
      end
    end
  end
end
