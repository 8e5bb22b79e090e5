# frozen_string_literal: true

module Wattomneum
  module Cranking
    # What the engine did when cranked, read through the cranking table with whatever else is known.
    class BehaviourJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return normal if reading.observation == 'normal'

        return spins_free if reading.observation == 'spins_free'

        rows = Table.new(circumstances, round: reading.round).matches
        finding('behaviour.fails', 'act', said: { seen: reading.spoken }, weight: 'support', rules_in: rows.map(&:reads_as).uniq,
                                                           rules_out: rules_out)
      end

      private

      def normal
        finding('behaviour.normal', 'sound', weight: 'proof',
                                                  rules_out: ['Starting trouble at this temperature, this time'])
      end

      # Fast, and the engine stands still: nothing electrical is left to ask.
      def spins_free
        finding('behaviour.spins_free', 'act', weight: 'proof', convicts: ['starter'],
                  rules_in: ['Drive or ring gear'], rules_out: ['Batteries, cables, grounds and signal'],
                  traps: ['Turning slowly without the engine, on a starter of two stages, is its main contact or its volts'])
      end

      def rules_out
        case reading.observation
        when 'slow' then ['Control side: the solenoid pulls in']
        when 'click', 'chatters' then ['A dead control side: the solenoid was called']
        else []
        end
      end
    end
  end
end
