# frozen_string_literal: true

module Wattomneum
  module Sums
    # Sums of spark, gauges and generator sets: each public method is one of core/data/sums.yml, its inputs as keywords.
    module OfEngines
      NOT_KNOWN = 'not known'
      private_constant :NOT_KNOWN

      # @return [Calculator::Answer]
      def cap_map(order:, rotation:, first_at:)
        fires = Ignition::FiringOrder.read(order)
        shown = rotation == NOT_KNOWN ? Ignition::TowerMap::ROTATIONS : [rotation]
        said = shown.map { |way| [way, towers(Ignition::TowerMap.new(fires, rotation: way, first_at: first_at))] }
        return answer(said.first.last, *cap_lines(fires)) if rotation != NOT_KNOWN

        answer('one of two', *said.map { |way, words| "#{way}: #{words}" }, 'crank it with the cap off and see which way the rotor turns',
               *cap_lines(fires))
      end

      # @return [Calculator::Answer]
      def cap_check(order:, rotation:, towers:)
        fires = Ignition::FiringOrder.read(order)
        found = Ignition::CapCheck.new(fires, towers.map(&:round))
        ways = rotation == NOT_KNOWN ? Ignition::TowerMap::ROTATIONS : [rotation]
        right = ways.select { |way| found.turning(way).right }
        words = right.any? ? "right where the rotor turns #{right.join(' or ')}" : 'wrong'
        answer(words, *(ways - right).map { |way| "#{way}: #{found.turning(way).reason}#{change(found.swapped(way))}" })
      end

      # @return [Calculator::Answer]
      def dwell(degrees:, cylinders:)
        number = cylinders.to_i
        usual = Ignition::Dwell::USUAL_DEGREES[number]
        answer(figure.percent(Ignition::Dwell.percent(degrees: degrees, cylinders: number)),
               *(["usual #{figure.trim(usual.begin, 0)} to #{figure.trim(usual.end, 0)} degrees"] if usual), 'set dwell before timing')
      end

      # @return [Calculator::Answer]
      def w_terminal(pole_pairs:, crank_pulley:, alternator_pulley:, slip_percent:, rpm:)
        pulses = Gauges::Tachometer.w_terminal(pole_pairs: pole_pairs, crank_pulley: crank_pulley, alternator_pulley: alternator_pulley,
                                               slip_percent: slip_percent)
        answer("#{figure.trim(pulses, 2)} pulses a turn", "#{figure.trim(Gauges::Tachometer.hertz(pulses, rpm), 0)} Hz at #{rpm.round} rpm",
               'half-wave, about half the output volts to ground; nothing at stand-still or with a lost field')
      end

      # @return [Calculator::Answer]
      def tachometer(source_pulses:, gauge_pulses:, rpm:)
        ratio = Gauges::Tachometer.shows_ratio(source_pulses: source_pulses, gauge_pulses: gauge_pulses)
        answer("shows #{(ratio * rpm).round} rpm at #{rpm.round}", off(ratio),
               "a converter divides by #{figure.trim(ratio, 3)}; or set the gauge for #{figure.trim(source_pulses, 2)} pulses")
      end

      # @return [Calculator::Answer]
      def road_speed(old_axle:, new_axle:, old_circumference:, new_circumference:, taken_at:)
        ratio = Gauges::RoadSpeed.shows_ratio(old_axle: old_axle, new_axle: new_axle, old_circumference: old_circumference,
                                              new_circumference: new_circumference,
                                              at_wheel: taken_at == 'wheel')
        shown = [50, 80].map { |speed| "shows #{figure.trim(speed * ratio, 1)} at #{speed} km/h" }
        answer(off(ratio), *shown, 'a signal that feeds brakes is tapped, never cut')
      end

      # @return [Calculator::Answer]
      def generator_frequency(poles:, rpm:)
        wanted = [50, 60].map { |hertz| "#{hertz} Hz at #{Gauges::GeneratorFrequency.rpm(poles: poles, hertz: hertz).round} rpm" }
        answer("#{figure.trim(Gauges::GeneratorFrequency.hertz(poles: poles, rpm: rpm), 1)} Hz", *wanted,
               'the AC side belongs to a licensed electrician')
      end

      private

      def figure = Quantities::Figure
      def towers(map) = map.hours.map { |cylinder, at| "#{cylinder} at #{figure.trim(at, 1)}" }.join(', ').concat(" o'clock")

      def cap_lines(fires)
        both = fires.same_both_ways? ? 'right in both directions of the rotor' : "the other direction is #{fires.reversed}"
        pairs = fires.pairs.map { |pair| pair.join(' and ') }
        ["#{fires}: #{both}", *("where a spark is wasted #{pairs.join(', ')} share a coil" if pairs.any?)]
      end

      def change(pairs) = pairs.map { |one, other| "; change #{one} and #{other}" }.join

      def off(ratio)
        return 'true' if ratio.round(4) == 1

        "#{figure.trim((ratio - 1).abs * 100, 1)} % #{ratio > 1 ? 'too much' : 'too little'}"
      end
    end
  end
end
