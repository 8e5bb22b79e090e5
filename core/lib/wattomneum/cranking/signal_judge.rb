# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Volts at the solenoid terminal while cranking, its load on, against the posts. It is fed from where the starter is fed: while that feed
    # loses volts, relays let go too, and a low signal says nothing of relay, interlocks and switch.
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
        when :over then short_of(lost)
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

      def short_of(lost)
        feed = companion('positive_drop')&.value
        return fed_or_not(lost) if feed.nil?

        most = limit('drop.positive_cranking')
        sum("the starter's own feed loses #{Figure.volt(feed)}, at most #{Figure.volt(most)}")
        side(feed, most, Evidence::MeterError.volt(feed)) == :over ? with_its_feed(lost) : low(lost)
      end

      def fed_or_not(lost)
        judgement('act', "#{Figure.volt(lost)} missing at the solenoid: control side, or what feeds it", weight: 'support',
                  rules_in: ['Start relay, interlock, switch or signal wire', 'The feed that it shares with the starter'],
                  instead: 'Read the positive drop in the same state: while the feed fails, so does the signal')
      end

      def with_its_feed(lost)
        judgement('unproven', "#{Figure.volt(lost)} missing at the solenoid, and the starter's own feed fails: that comes first",
                  validity: 'void', weight: 'none', would_be: 'act', instead: 'Mend the feed, then read the signal again')
      end

      def low(lost)
        judgement('act', "#{Figure.volt(lost)} missing at the solenoid: control side", weight: 'proof',
                  convicts: ['signal_wire'], rules_in: ['Start relay, interlock, switch or signal wire'],
                  rules_out: ['Starter condemned before the signal is mended'])
      end
    end
  end
end
