# frozen_string_literal: true

module Wattomneum
  module Cranking
    # A voltage drop in the start circuit. A large one convicts at any current; a small one clears only under current.
    class DropJudge < Evidence::Judge
      OTHER_SIDE = { 'ground' => 'positive_drop', 'positive' => 'ground_drop' }.freeze
      private_constant :OTHER_SIDE

      # @return [Judgement]
      def call
        most = limit(test.limit)
        sum("#{Figure.volt(value)} against #{Figure.volt(most)}")
        milliohms
        return convicted(most) if value > most

        within(most)
      end

      private

      def flow = @flow ||= Flow.new(reading, circumstances)
      def path = "#{place(test.from)} to #{place(test.to)}"
      def place(key) = Systems::Places.fetch(key).label.downcase
      def element_keys = test.element ? [test.element] : []
      def figures = @resistance_ohm ? { resistance_ohm: @resistance_ohm } : {}

      def milliohms
        return unless flow.estimate&.exact && flow.estimate.ampere.positive?

        @resistance_ohm = value / flow.estimate.ampere
        sum("#{Figure.volt(value)} / #{Figure.ampere(flow.estimate.ampere)} = #{Figure.ohm(@resistance_ohm)}")
      end

      def weight
        other = companion(OTHER_SIDE.fetch(test.side))
        other || test.part_of ? 'proof' : 'support'
      end

      def convicted(most)
        open_joint = flow.adequate? == false ? ['An open joint drops everything at no current: a large drop always convicts'] : []
        judgement('act', "#{Figure.volt(value)} lost, #{path}: over #{Figure.volt(most)}", weight: weight, figures: figures,
                  rules_in: ["Resistance, #{path}"], convicts: element_keys, traps: open_joint,
                  rules_out: ['Starter condemned before this path is mended'])
      end

      def within(most)
        case flow.adequate?
        when nil then unknown_current
        when false then little_current
        else cleared(most)
        end
      end

      def unknown_current
        judgement('unproven', 'Small, but nobody knows what current flowed', validity: 'unstated', weight: 'none',
                  figures: figures, instead: 'Clamp the cable, or read the posts at rest and while cranking',
                  traps: ['A small drop with little current clears nothing'], would_be: 'sound')
      end

      def little_current
        estimate = flow.estimate
        sum(estimate.arithmetic)
        sum("needed: #{Figure.ampere(flow.least_ampere)}, half of the usual #{Figure.ampere(flow.usual_ampere)}")
        limit('cranking.flow_least')
        judgement('unproven', "Small, but at most #{Figure.ampere(estimate.ampere)} flowed: the path stays unproven",
                  validity: 'void', weight: 'none', figures: figures, would_be: 'sound',
                  traps: ['Little current flowed: the drop proves nothing about the cables'],
                  instead: 'Load the path: pile of 300 to 500 A from stud to case, or crank once the starter turns')
      end

      # The drop it would have at the usual current decides, so that tests at different currents compare.
      def cleared(most)
        full = @resistance_ohm ? @resistance_ohm * flow.usual_ampere : value
        if @resistance_ohm && full > most && flow.estimate.ampere < flow.usual_ampere
          sum("at the usual #{Figure.ampere(flow.usual_ampere)}: #{Figure.volt(full)}")
          return judgement('watch', "Under the limit now, #{Figure.volt(full)} at the usual current", weight: 'support',
                           figures: figures, rules_in: ["Resistance, #{path}"])
        end
        judgement('sound', "#{Figure.volt(value)}, #{path}: cleared", weight: weight, figures: figures,
                                                                      rules_out: ["Resistance, #{path}"], clears: element_keys)
      end
    end
  end
end
