# frozen_string_literal: true

module Wattomneum
  module Cranking
    # A voltage drop in the start circuit. It is the milliohms that are judged: the drop is brought to the unit's usual current, up and
    # down, where a clamp was on. A large one convicts at any current; a small one clears only under current.
    class DropJudge < Evidence::Judge
      OTHER_SIDE = { 'ground' => 'positive_drop', 'positive' => 'ground_drop' }.freeze
      private_constant :OTHER_SIDE

      # @return [Judgement]
      def call
        @most = limit(test.limit)
        sum("#{Figure.volt(value)} against #{Figure.volt(@most)}")
        return by_milliohms if clamped? && flow.adequate?

        @error = Evidence::MeterError.volt(value)
        case side(value, @most, @error)
        when :over then clamped? ? convicted(value) : over_at_unknown_current
        when :at then at_the_limit(line(value), @error, figures: figures)
        else small
        end
      end

      private

      def flow = @flow ||= Flow.new(reading, circumstances)
      def clamped? = flow.estimate&.exact && flow.estimate.ampere.positive?
      def path = "#{place(test.from)} to #{place(test.to)}"
      def place(key) = Systems::Places.fetch(key).label.downcase
      def line(volt) = "#{Figure.volt(volt)}, #{path}"
      def element_keys = test.element ? [test.element] : []
      def figures = clamped? ? { resistance_ohm: value / flow.estimate.ampere } : {}

      def by_milliohms
        ampere = flow.estimate.ampere
        full = value * flow.usual_ampere / ampere
        @error = Evidence::MeterError.scaled(value, at_ampere: ampere, to_ampere: flow.usual_ampere)
        sum("#{Figure.volt(value)} / #{Figure.ampere(ampere)} = #{Figure.ohm(figures[:resistance_ohm])}")
        sum("at the usual #{Figure.ampere(flow.usual_ampere)}: #{Figure.volt(full)}")
        case side(full, @most, @error)
        when :over then convicted(full)
        when :at then at_the_limit(line(full), @error, figures: figures)
        else cleared(full)
        end
      end

      # However much may have flowed: does it fail even then?
      def over_at_unknown_current
        most_ampere = flow.most_ampere
        return convicted(value) if most_ampere.nil? || most_ampere <= flow.usual_ampere

        least = value * flow.usual_ampere / most_ampere
        sum("no clamp was on: at most #{Figure.ampere(most_ampere)} flowed, which leaves #{Figure.volt(least)} at the usual current")
        return convicted(value) if least > @most + @error

        judgement('watch', "#{line(value)}: over, unless more than the usual current flowed", weight: 'support', figures: figures,
                  rules_in: ["Resistance, #{path}"], instead: 'Clamp the cable and read both at once')
      end

      def small
        case flow.adequate?
        when nil then unknown_current
        when false then little_current
        else cleared(value)
        end
      end

      def weight
        other = companion(OTHER_SIDE.fetch(test.side))
        other || test.part_of ? 'proof' : 'support'
      end

      def convicted(full)
        open_joint = flow.adequate? == false ? ['An open joint drops everything at no current: a large drop always convicts'] : []
        words = full == value ? "#{Figure.volt(value)} lost" : "#{Figure.volt(value)} lost, #{Figure.volt(full)} at the usual current"
        judgement('act', "#{words}, #{path}: over #{Figure.volt(@most)}", weight: weight, figures: figures,
                  rules_in: ["Resistance, #{path}"], convicts: element_keys, traps: open_joint,
                  rules_out: ['Starter condemned before this path is mended'])
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

      def cleared(full)
        words = full == value ? line(value) : "#{line(value)}, #{Figure.volt(full)} at the usual current"
        judgement('sound', "#{words}: cleared", weight: weight, figures: figures, rules_out: ["Resistance, #{path}"], clears: element_keys)
      end
    end
  end
end
