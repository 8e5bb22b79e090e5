# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Volts at the solenoid terminal while cranking, its load on, against the posts.
    class SignalJudge < Evidence::Judge
      # @return [Judgement]
      def call
        posts_volt = posts_now || companion('posts_cranking')&.value
        return needs_posts if posts_volt.nil?

        lost = difference(posts_volt, value)
        most = limit('cranking.signal_below_posts')
        sum("posts #{Figure.volt(posts_volt)} - signal #{reading.spoken} = #{Figure.volt(lost)}, at most #{Figure.volt(most)}")
        error = Evidence::MeterError.difference(posts_volt, value)
        case side(lost, most, error)
        when :over then low(lost)
        when :under then good
        else at_the_limit("#{Figure.volt(lost)} missing at the solenoid", error)
        end
      end

      private

      def needs_posts
        judgement('unproven', 'A signal is judged against the posts in the same state', validity: 'unstated', weight: 'none',
                                                                                        instead: 'Read the posts while cranking')
      end

      def good
        judgement('sound', 'The control side does its work', weight: 'proof', clears: ['signal_wire'],
                                                             rules_out: ['Start relay, interlocks, switch and signal wire'])
      end

      def low(lost)
        judgement('act', "#{Figure.volt(lost)} missing at the solenoid: control side", weight: 'proof',
                  convicts: ['signal_wire'], rules_in: ['Start relay, interlock, switch or signal wire'],
                  rules_out: ['Starter condemned before the signal is mended'])
      end
    end
  end
end
