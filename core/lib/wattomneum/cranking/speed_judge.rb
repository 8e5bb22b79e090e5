# frozen_string_literal: true

module Wattomneum
  module Cranking
    # Speed of the cranked engine against what it takes to fire. It says whether it will start, not what holds it back.
    class SpeedJudge < Evidence::Judge
      # Source: 100 rpm for a diesel with a heat aid, 150 without; common practice.
      #
      # @return [Judgement]
      def call
        least = limit(system.heat_aid ? 'cranking.speed_least' : 'cranking.speed_least_without_aid')
        said = { speed: Figure.rpm(value), limit: Figure.rpm(least) }
        case side(value, least, Evidence::MeterError.rpm(value))
        when :over then finding('speed.fires', 'sound', said: said, weight: 'support')
        when :at then finding('speed.at_limit', 'watch', said: said, weight: 'hint', instead: TWICE)
        else too_slow(said)
        end
      end

      TWICE = 'Read it once more, with the fuel held off and the engine turning evenly'
      private_constant :TWICE

      private

      def too_slow(said)
        finding('speed.too_slow', 'act', said: said, weight: 'support', rules_in: rows, rules_out: ['A dead control side: the solenoid was called'])
      end

      def rows = Table.new(circumstances, round: reading.round).matches.map(&:reads_as).uniq
    end
  end
end
