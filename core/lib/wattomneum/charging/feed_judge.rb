# frozen_string_literal: true

module Wattomneum
  module Charging
    # A feed of the alternator under a lamp: output terminal, sense, excitation, each against the posts.
    class FeedJudge < Evidence::Judge
      # @return [Judgement]
      def call
        posts = circumstances.latest('posts_rest', round: reading.round)
        return needs_posts if posts.nil?

        most = limit(test.limit)
        lost = difference(posts.value, value)
        sum("posts #{posts.spoken} - #{test.short.downcase} #{reading.spoken} = #{Figure.volt(lost)}, at most #{Figure.volt(most)}")
        lost <= most ? carries : fails(posts.value)
      end

      private

      def element = Systems::Places.element(test.element)

      def needs_posts
        judgement('unproven', 'A feed is judged against the posts', validity: 'unstated', weight: 'none',
                                                                    instead: 'Read the posts of the bank, engine stopped')
      end

      def carries
        judgement('sound', 'Carries a lamp', weight: 'support', clears: [element.key], rules_out: [element.label])
      end

      def fails(posts_volt)
        words = value < 0.1 * posts_volt ? 'Nothing under a lamp: open' : 'Sinks under a lamp: resistance in the feed'
        judgement('act', words, weight: 'support', convicts: [element.key], rules_in: [element.label],
                                rules_out: ['Alternator condemned before this feed is mended'])
      end
    end
  end
end
