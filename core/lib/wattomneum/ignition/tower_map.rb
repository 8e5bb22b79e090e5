# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Which tower of a distributor cap feeds which cylinder. Towers are told by the hand of a clock, as the cap is looked at from where its leads go
    # in. They stand evenly, but for an engine that fires unevenly, whose angles are asked for.
    class TowerMap
      ROTATIONS = %w[clockwise anticlockwise].freeze
      HOURS = 12.0
      TURN_DEGREES = 360.0
      # Angles as people read them off a book: they add up to a turn within this.
      ROUNDED_DEGREES = 1.0
      private_constant :TURN_DEGREES, :ROUNDED_DEGREES

      # @param order [FiringOrder]
      # @param rotation [String] of the rotor, one of ROTATIONS
      # @param first_at [Numeric] hour at which the tower of cylinder 1 stands, 12 at the top
      # @param intervals [Array<Numeric>, nil] degrees of the distributor from each cylinder to the next, in the firing order; nil for even ones
      # @raise [InvalidQuantityError] if the rotation is not known, or the intervals do not make a turn
      def initialize(order, rotation:, first_at:, intervals: nil)
        unless ROTATIONS.include?(rotation)
          raise InvalidQuantityError.new("The rotor turns clockwise or anticlockwise, got #{rotation}: crank it with the cap off and look",
                                         field: 'rotation')
        end

        @order = order
        @turns = rotation == 'clockwise' ? 1 : -1
        @first_at = first_at
        @intervals = intervals || ([TURN_DEGREES / order.size] * order.size)
        check_intervals
      end

      # @return [Hash{Integer => Float}] cylinder to the hour of its tower, in the order in which the rotor comes to them
      def hours
        @order.cylinders.each_with_index.to_h do |cylinder, at|
          [cylinder, hour(@first_at + (@turns * @intervals.first(at).sum * HOURS / TURN_DEGREES))]
        end
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

      def check_intervals
        sum = @intervals.sum
        return if @intervals.size == @order.size && @intervals.all?(&:positive?) && (sum - TURN_DEGREES).abs <= ROUNDED_DEGREES

        raise InvalidQuantityError.new("Angles of an uneven engine: one for each of #{@order.size} cylinders, 360 degrees of the distributor in " \
                                       "all; got #{@intervals.size}, #{Quantities::Figure.trim(sum.to_f, 1)} degrees", field: 'intervals')
      end

      # 12 rather than 0.
      def hour(at)
        shown = (at % HOURS).round(6)
        shown.zero? ? HOURS : shown
      end
    end
  end
end
