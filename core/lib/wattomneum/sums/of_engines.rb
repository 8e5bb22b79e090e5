# frozen_string_literal: true

module Wattomneum
  module Sums
    # Sums of the spark: each public method is one of core/data/sums.yml, its inputs as keywords.
    module OfEngines
      NOT_KNOWN = Ignition::Cap::NOT_KNOWN
      private_constant :NOT_KNOWN

      # @return [Calculator::Answer]
      def cap_map(order:, rotation:, first_at:, intervals: nil)
        fires = Ignition::FiringOrder.read(order)
        shown = rotation == NOT_KNOWN ? Ignition::TowerMap::ROTATIONS : [rotation]
        said = shown.map { |way| [way, towers(Ignition::TowerMap.new(fires, rotation: way, first_at: first_at, intervals: intervals))] }
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

      # Of two cylinders of one coil, both weak: what they share comes before what each has of its own.
      COIL = ['look at that coil, its driver and its feed, then at the plug and lead of each', 'no lead on another tower explains it'].freeze
      private_constant :COIL

      # @return [Calculator::Answer]
      def swapped_leads(order:, weak:, wasted:)
        fires = Ignition::FiringOrder.read(order)
        found = Ignition::SwappedLeads.new(fires, wasted: wasted).changes(weak.map(&:round))
        shared = wasted && fires.pairs.map(&:sort).find { |pair| pair == weak.map(&:round).uniq.sort }
        return answer("#{shared.join(' and ')} share a coil", *COIL) if found.empty? && shared

        if found.empty?
          return answer('no lead explains that',
                        'look at plug, lead and compression of each; two leads that change places make two cylinders weak')
        end

        answer(found.first.words, *found.drop(1).map { |one| "or #{one.words}" })
      end

      # @return [Calculator::Answer]
      def lead_lengths(needs:, leads:)
        given = Ignition::LeadLengths.give(needs.each_with_index.to_h { |need, at| [at + 1, need] }, leads)
        answer(given.map { |one| "#{one.cylinder}: #{figure.trim(one.lead_cm, 1)} cm" }.join(', '),
               *given.map do |one|
                 "cylinder #{one.cylinder} wants #{figure.trim(one.need_cm, 1)}, #{figure.trim(one.lead_cm - one.need_cm, 1)} cm to spare"
               end)
      end

      # @return [Calculator::Answer]
      def ignition_figure(kind:, value:, length_m:)
        row = Ignition::Figures::KINDS.find { |one| one.label == kind }
        judged = Ignition::Figures.new(@limits).judge(row.key, value, length_m: length_m)
        answer(judged.verdict == 'sound' ? 'sound' : 'not sound', judged.words)
      end

      # @return [Calculator::Answer]
      def dwell(degrees:, cylinders:)
        number = cylinders.to_i
        usual = Ignition::Dwell::USUAL_DEGREES[number]
        answer(figure.percent(Ignition::Dwell.percent(degrees: degrees, cylinders: number)),
               *(["usual #{figure.trim(usual.begin, 0)} to #{figure.trim(usual.end, 0)} degrees"] if usual), 'set dwell before timing')
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
    end
  end
end
