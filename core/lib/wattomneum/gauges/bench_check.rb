# frozen_string_literal: true

module Wattomneum
  module Gauges
    # A gauge tried with known resistors in place of its sender: right or not, and which way the fault lies.
    class BenchCheck
      # ohm; wanted: mark by its curve; shown; error
      Point = Struct.new(:ohm, :wanted, :shown, :error, keyword_init: true)
      # A needle is read to about a twentieth of its scale (ours).
      READABLE_RATIO = 0.05

      # @param curve [Curve] that the gauge is marked for
      # @param shown [Array<Array(Float, Float)>] ohms put in, mark shown
      # @raise [InvalidQuantityError] where nothing was put in
      def initialize(curve, shown)
        raise InvalidQuantityError.new('Put in one resistor at least, and say what the needle showed', field: 'shown') if shown.empty?

        @curve = curve
        @points = shown.map { |ohm, mark| curve.mark(ohm).then { |wanted| Point.new(ohm: ohm, wanted: wanted, shown: mark, error: mark - wanted) } }
      end

      # @return [Array<Point>]
      attr_reader :points

      # @return [Boolean]
      def right? = points.all? { |point| point.error.abs <= readable }

      # @return [String]
      def words
        return 'The gauge is right: look to its sender, its wire and the ground of its thread' if right?
        return 'All off the same way: its supply or its ground before the gauge' if points.size > 1 && points.map do |point|
          point.error <=> 0
        end.uniq.one?

        'The gauge does not follow its curve: another gauge, or it is marked for other senders'
      end

      private

      def readable = (@curve.scale.end - @curve.scale.begin) * READABLE_RATIO
    end
  end
end
