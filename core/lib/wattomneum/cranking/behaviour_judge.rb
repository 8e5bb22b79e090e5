# frozen_string_literal: true

module Wattomneum
  module Cranking
    # What the engine did when cranked, read through the cranking table with whatever else is known.
    class BehaviourJudge < Evidence::Judge
      # @return [Judgement]
      def call
        return normal if reading.observation == 'normal'

        rows = Table.new(circumstances, round: reading.round).matches
        judgement('act', "#{reading.spoken}: seen to fail", weight: 'support', rules_in: rows.map(&:reads_as).uniq,
                                                           rules_out: rules_out)
      end

      private

      def normal
        judgement('sound', 'Cranks as it should', weight: 'proof',
                                                  rules_out: ['Starting trouble at this temperature, this time'])
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
