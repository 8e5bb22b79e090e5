# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Which tower of a distributor cap feeds which cylinder. Towers stand evenly and are told by the hand of a clock, as the cap is looked at from
    # where its leads go in: towers of an engine that fires unevenly stand otherwise and are not for this.
    class TowerMap
      ROTATIONS = %w[clockwise anticlockwise].freeze
      HOURS = 12.0

      # @param order [FiringOrder]
      # @param rotation [String] of the rotor, one of ROTATIONS
      # @param first_at [Numeric] hour at which the tower of cylinder 1 stands, 12 at the top
      # @raise [InvalidQuantityError] if the rotation is not known
      def initialize(order, rotation:, first_at:)
        unless ROTATIONS.include?(rotation)
          raise InvalidQuantityError.new("The rotor turns clockwise or anticlockwise, got #{rotation}: crank it with the cap off and look",
                                         field: 'rotation')
        end

        @order = order
        @step = (rotation == 'clockwise' ? 1 : -1) * HOURS / order.size
        @first_at = first_at
      end

      # @return [Hash{Integer => Float}] cylinder to the hour of its tower, in the order in which the rotor comes to them
      def hours
        @order.cylinders.each_with_index.to_h { |cylinder, at| [cylinder, hour(@first_at + (at * @step))] }
      end

      # @return [Array<Integer>] cylinders as they stand clockwise, from the tower of cylinder 1
      def clockwise = hours.sort_by { |_, at| (at - hour(@first_at)) % HOURS }.map(&:first)

      # The same cap looked at with another tower on top, or from the other side.
      #
      # @param first_at [Numeric] hour at which the tower of cylinder 1 stands there
      # @param mirrored [Boolean] whether it is seen from inside, through the rotor
      # @return [Hash{Integer => Float}] cylinder to hour
      def seen(first_at:, mirrored: false)
        hours.transform_values { |at| hour(first_at + ((mirrored ? -1 : 1) * (at - @first_at))) }
      end

      private

      # 12 rather than 0.
      def hour(at)
        shown = (at % HOURS).round(6)
        shown.zero? ? HOURS : shown
      end
    end
  end
end
