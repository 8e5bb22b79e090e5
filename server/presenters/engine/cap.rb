# frozen_string_literal: true

module Server
  module Presenters
    class Engine
      # A distributor cap: where each tower stands, in either direction where the rotor's is not known, and what is wrong with the leads on it.
      class Cap
        IGNITION = Wattomneum::Ignition
        private_constant :IGNITION

        # @param said [Hash{String => Object}] of a cap entry
        def initialize(said)
          @said = said
          @order = IGNITION::FiringOrder.read(said['order'])
        end

        # @return [void]
        # @raise [Wattomneum::InvalidQuantityError]
        def check = call

        def call
          { order: @order.to_s, rotation: @said['rotation'], first_at: @said['first_at'], numbering: @said['numbering'].to_s,
            both_ways: @order.same_both_ways?, reversed: @order.reversed.to_s, pairs: pairs, maps: ways.map { |way| map(way) },
            present: @said['towers']&.map(&:round), changes: changes, lengths: lengths }
        end

        private

        def ways = IGNITION::TowerMap::ROTATIONS.include?(@said['rotation']) ? [@said['rotation']] : IGNITION::TowerMap::ROTATIONS
        def wasted = @said['wasted'] || false
        def pairs = wasted ? @order.pairs : []

        def map(way)
          towers = IGNITION::TowerMap.new(@order, rotation: way, first_at: @said['first_at'], intervals: @said['intervals'])
          { rotation: way, towers: hours(towers.hours), seen: seen(towers), seen_rotation: seen_rotation(way), verdict: verdict(way) }
        end

        def hours(towers) = towers.map { |cylinder, hour| { cylinder: cylinder, hour: hour } }

        def seen(towers)
          return if @said['seen_first_at'].nil?

          hours(towers.seen(first_at: @said['seen_first_at'], mirrored: @said['seen_mirrored'] || false))
        end

        # Looked at from inside, the rotor turns the other way.
        def seen_rotation(way) = @said['seen_mirrored'] ? (IGNITION::TowerMap::ROTATIONS - [way]).first : way

        # As the leads are on it now.
        def verdict(way)
          return if @said['towers'].nil?

          checked = IGNITION::CapCheck.new(@order, @said['towers'].map(&:round))
          found = checked.turning(way)
          { right: found.right, reason: found.reason, change: checked.swapped(way).first }
        end

        def changes
          weak = @said['weak'].to_a.map(&:round)
          return [] if weak.empty?

          found = IGNITION::SwappedLeads.new(@order, wasted: wasted).changes(weak).map(&:words)
          found.empty? ? ['No lead explains that: plug, lead and compression of each'] : found
        end

        def lengths
          needs = @said['needs'].to_a
          return [] if needs.empty?

          IGNITION::LeadLengths.give(needs.each_with_index.to_h { |need, at| [at + 1, need] }, @said['leads'].to_a).map(&:to_h)
        end
      end
    end
  end
end
