# frozen_string_literal: true

module Wattomneum
  module Charging
    # Output and case drop of an alternator, scaled to its rated current.
    class DropJudge < Evidence::Judge
      # Under this share of the rating a small drop clears nothing (ours, as for cranking).
      LEAST_SHARE = 0.25

      # @return [Judgement]
      def call
        most = limit(test.limit)
        current = reading.conditions.number('current_ampere')
        sum("#{Figure.volt(value)} against #{Figure.volt(most)} at rated current")
        return scaled(most, current) if rated && current && current >= rated * LEAST_SHARE

        at_this_current(most, current)
      end

      private

      def element = Systems::Places.element(test.element)
      def rated = system.alternator_rating_ampere

      def scaled(most, current)
        full = value * rated / current
        sum("#{Figure.volt(value)} x #{Figure.ampere(rated)} / #{Figure.ampere(current)} = #{Figure.volt(full)} at rating")
        decided(full, most, Evidence::MeterError.scaled(value, at_ampere: current, to_ampere: rated))
      end

      # Little or unknown current: a large drop convicts all the same, a small one clears nothing.
      def at_this_current(most, current)
        error = Evidence::MeterError.volt(value)
        return decided(value, most, error) if (rated.nil? && current) || side(value, most, error) == :over
        return judgement('unproven', 'Small, but the current is not known', weight: 'none') if current.nil?

        little_current(current)
      end

      def decided(full, most, error)
        case side(full, most, error)
        when :over then convicted(full, most)
        when :under then cleared
        else at_the_limit("#{Figure.volt(full)} lost", error)
        end
      end

      def little_current(current)
        void("Small, but only #{Figure.ampere(current)} of #{Figure.ampere(rated)} flowed",
             instead: 'Loads or pile on, at least a quarter of the rating', would_be: 'sound',
             traps: ['Little current flowed: the drop proves nothing'])
      end

      def convicted(full, most)
        judgement('act', "#{Figure.volt(full)} lost: over #{Figure.volt(most)}", weight: 'proof', convicts: [element.key],
                                                                         rules_in: [element.label])
      end

      def cleared
        judgement('sound', 'Path cleared at current', weight: 'proof', clears: [element.key], rules_out: [element.label])
      end
    end
  end
end
