# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Volts straight across the starter while it is called.
    class StarterTerminalJudge < Evidence::Judge
      # @return [Judgement]
      def call
        posts = companion('posts_cranking')
        return needs_posts if posts.nil?

        lost = difference(posts.value, value)
        most = limit('drop.positive_cranking') + limit('drop.ground_cranking')
        sum("posts #{posts.spoken} - starter #{reading.spoken} = #{Figure.volt(lost)} in feed and ground, " \
            "at most #{Figure.volt(most)}")
        error = Evidence::MeterError.difference(posts.value, value)
        lost, error = at_usual_current(lost, error)
        case side(lost, most, error)
        when :over then path_fault(lost)
        when :under then full_volts
        else at_the_limit('starter.at_limit', error, said: { lost: Figure.volt(lost) }, clears: cleared)
        end
      end

      private

      # Ohms, not volts: with a clamp on, what is lost is brought to the usual current.
      def at_usual_current(lost, error)
        return [lost, error] unless flow.estimate&.exact && flow.adequate?

        ratio = flow.usual_ampere / flow.estimate.ampere
        sum("at the usual #{Figure.ampere(flow.usual_ampere)}: #{Figure.volt(lost * ratio)}")
        [lost * ratio, (error * ratio) + (lost.abs * ratio * Evidence::MeterError.ampere(flow.estimate.ampere) / flow.estimate.ampere)]
      end

      def flow = @flow ||= Flow.new(reading, circumstances)

      def needs_posts
        finding('starter.needs_posts', 'unproven', validity: 'unstated', weight: 'none',
                                                                            instead: 'Read the posts while cranking')
      end

      def path_fault(lost)
        finding('starter.path', 'act', said: { lost: Figure.volt(lost) }, weight: 'proof', clears: cleared,
                                                                                     rules_in: ['Resistance in feed or ground'],
                                                                                     rules_out: ['Starter, until the path is mended'])
      end

      # Whatever the path loses, a starter that turns its engine at its usual speed is not open inside.
      def cleared = turns? ? ['starter'] : []
      def turns? = companion('cranking_behaviour')&.observation == 'normal'

      def full_volts
        return stands if stands?
        return turning if turns? || flow.adequate?

        limit('cranking.current_near_none')
        unless flow.none?
          return finding('starter.current_unknown', 'unproven',
                         weight: 'support', instead: 'Clamp the cable, or read posts at rest and cranking')
        end

        sum(flow.estimate.arithmetic)
        finding('starter.open', 'act', weight: 'proof', convicts: ['starter'], rules_in: ['Starter or its solenoid open'],
                                  traps: ['The cables stay unproven until current has flowed through them'])
      end

      STANDS = %w[click chatters].freeze
      private_constant :STANDS

      # Whatever flows: on so many volts, and less ampere than its engine asks for, a sound starter turns it. A locked engine takes far more.
      def stands?
        clamped = flow.estimate
        STANDS.include?(companion('cranking_behaviour')&.observation) && clamped&.exact && clamped.ampere < flow.usual_ampere &&
          value >= limit('cranking.stands_share') / 100.0 * system.system_volt
      end

      def stands
        sum("#{Figure.ampere(flow.estimate.ampere)} of the usual #{Figure.ampere(flow.usual_ampere)}")
        finding('starter.stands', 'act', weight: 'proof', convicts: ['starter'], said: { volt: reading.spoken },
                                         rules_in: ['Starter or its solenoid: brushes, contacts or a winding'])
      end

      def turning
        finding('starter.turning', 'sound', weight: 'proof',
                                                                       rules_out: ['Resistance in feed and ground'])
      end
    end
  end
end
