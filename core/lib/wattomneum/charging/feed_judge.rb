# frozen_string_literal: true

module Wattomneum
  module Charging
    # A feed of the alternator against the posts. Under a lamp it clears or convicts; unloaded it only convicts, since a meter
    # reads nearly full volts through a megohm of corrosion.
    class FeedJudge < Evidence::Judge
      # @return [Judgement]
      def call
        @posts_volt = posts_now || rest_beside
        return needs_posts if @posts_volt.nil?

        most = limit(test.limit)
        lost = difference(@posts_volt, value)
        sum("posts #{Figure.volt(@posts_volt)} - #{test.short.downcase} #{reading.spoken} = #{Figure.volt(lost)}, at most #{Figure.volt(most)}")
        loaded? ? loaded(lost, most) : unloaded
      end

      private

      # Posts at rest stand in for posts now only where the feed is read at rest too.
      def rest_beside
        circumstances.latest('posts_rest', round: reading.round)&.value if test.state == 'off'
      end

      def loaded(lost, most)
        error = Evidence::MeterError.difference(@posts_volt, value)
        case side(lost, most, error)
        when :over then fails
        when :under then carries
        else at_the_limit("#{Figure.volt(lost)} under the posts", error)
        end
      end

      def element = Systems::Places.element(test.element)
      def loaded? = reading.conditions.said('load_on') == :yes
      def share_percent = 100.0 * value / @posts_volt

      def needs_posts
        return convicted('Dead without any load: open', traps: stray_volts) if dead_whatever_the_posts?

        judgement('unproven', 'A feed is judged against the posts in the same moment', validity: 'unstated', weight: 'none',
                                                                                       instead: 'Read the posts beside it and say them')
      end

      # Under a tenth of the system no posts of a unit that has its lamps on could have been meant.
      def dead_whatever_the_posts?
        @posts_volt = system.system_volt.to_f
        share_percent < limit('evidence.open_share')
      end

      def carries
        judgement('sound', 'Carries a lamp', weight: 'support', clears: [element.key], rules_out: [element.label])
      end

      def fails
        words = share_percent < limit('evidence.open_share') ? 'Nothing under a lamp: open' : 'Sinks under a lamp: resistance in the feed'
        convicted(words)
      end

      def unloaded
        return convicted('Dead without any load: open', traps: stray_volts) if share_percent < limit('evidence.open_share')
        return ghost_volts if share_percent < limit('evidence.ghost_share')

        said_no = reading.conditions.said('load_on') == :no
        judgement('unproven', 'Full volts with nothing hung on it: a hint, the feed is not cleared', weight: 'hint', would_be: 'sound',
                  validity: said_no ? 'valid' : 'unstated', instead: 'Hang a lamp on the terminal and read again',
                  traps: ['A meter draws a microampere: it reads this through a megohm of corrosion'])
      end

      def stray_volts
        value.abs > Evidence::Preconditions::ZERO_VOLT ? ['A tenth of a volt or so is stray coupling, not a feed'] : []
      end

      # 80 to 95 % of the supply on the meter: what hides in series, by the meter's own input.
      def ghost_volts
        ohm = Evidence::SeriesResistance.behind_meter(supply_volt: @posts_volt, shown_volt: value,
                                                      meter_ohm: limit('evidence.meter_input'))
        sum("#{Figure.ohm(limit('evidence.meter_input'))} x (#{Figure.volt(@posts_volt)} / #{Figure.volt(value)} - 1) = #{Figure.ohm(ohm)}")
        convicted("Sinks under the meter alone: about #{Figure.ohm(ohm)} in series", figures: { series_resistance_ohm: ohm },
                  traps: ['Holds only with the load and every parallel path unplugged; corrosion drifts: read it twice'])
      end

      def convicted(words, **rest)
        judgement('act', words, weight: 'support', convicts: [element.key], rules_in: [element.label],
                                rules_out: ['Alternator condemned before this feed is mended'], **rest)
      end
    end
  end
end
