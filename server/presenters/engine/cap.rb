# frozen_string_literal: true

module Server
  module Presenters
    class Engine
      # A distributor cap: where each tower stands, what is wrong with the leads on it, and what it was drawn from, to be drawn again.
      class Cap
        # @param row [Models::EngineEntry]
        def self.call(row) = new(row).call

        # @param row [Models::EngineEntry] of a cap
        def initialize(row)
          @said = row.plain
          @cap = row.to_cap
        end

        def call
          { order: @cap.order.to_s, rotation: @cap.rotation, both_ways: @cap.order.same_both_ways?, reversed: @cap.order.reversed.to_s,
            pairs: @cap.pairs, maps: @cap.maps.map { |map| one(map) }, changes: changes, lengths: @cap.lengths.map(&:to_h), **drawn_from }
        end

        private

        # A form that begins with less would draw another cap.
        def drawn_from
          { first_at: @said[:first_at], numbering: @said[:numbering].to_s, wasted: @cap.wasted, present: @said[:towers]&.map(&:round),
            seen_first_at: @said[:seen_first_at], seen_mirrored: @said[:seen_mirrored] || false,
            **%i[intervals weak needs leads].to_h { |name| [name, @said[name].to_a] } }
        end

        def one(map)
          { rotation: map.rotation, towers: hours(map.towers), seen: map.seen && hours(map.seen), seen_rotation: map.seen_rotation,
            verdict: map.verdict && { **map.verdict.to_h, change: map.change } }
        end

        def hours(towers) = towers.map { |cylinder, hour| { cylinder: cylinder, hour: hour } }

        def changes
          return [] if @cap.changes.nil?

          @cap.changes.empty? ? ['No lead explains that: plug, lead and compression of each'] : @cap.changes.map(&:words)
        end
      end
    end
  end
end
