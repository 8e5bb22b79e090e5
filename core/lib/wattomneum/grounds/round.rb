# frozen_string_literal: true

module Wattomneum
  module Grounds
    # A walk along the grounds of a unit: zone by zone, from the battery outwards, so that nobody walks to one place twice.
    class Round
      # @param places [Array<Map::Place>]
      def initialize(places)
        @places = places
      end

      # @return [Array<Map::Place>] in the order of the walk
      def order = stops.values.flatten

      # @return [Float] minutes of the whole walk, service included
      def minutes = @places.sum(&:minutes) + (Faults::Access::WALK_MINUTES * stops.size)

      private

      # Where no zone is known, what stands on one piece of metal is taken together.
      def stops
        @stops ||= @places.group_by { |place| place.zone || place.to }.sort_by { |_, there| there.map { |place| [place.steps, place.key] }.min }
                          .to_h.transform_values { |there| there.sort_by { |place| [place.steps, place.key] } }
      end
    end
  end
end
