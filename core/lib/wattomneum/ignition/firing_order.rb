# frozen_string_literal: true

module Wattomneum
  # Spark: order of firing, cap, leads.
  module Ignition
    # The order in which the cylinders of an engine fire, as it stands on the engine or in its book.
    class FiringOrder
      # Engines with a distributor that are met at work (ours).
      SIZES = [2, 3, 4, 6, 8].freeze

      # @param text [String] "1-3-4-2", "1 3 4 2" or "1342"
      # @return [FiringOrder]
      # @raise [InvalidQuantityError] where it is none: a cylinder twice or left out, another number of cylinders
      def self.read(text)
        parts = text.strip.match?(/\A\d{2,8}\z/) ? text.strip.chars : text.strip.split(/[\s,;-]+/)
        odd = parts.find { |part| !part.match?(/\A\d{1,2}\z/) }
        raise InvalidQuantityError.new("Order: \"#{odd}\" is no cylinder", field: 'order') if odd

        new(parts.map(&:to_i))
      end

      # @return [Array<Integer>] from cylinder 1 on
      attr_reader :cylinders

      # @param cylinders [Array<Integer>]
      # @raise [InvalidQuantityError]
      def initialize(cylinders)
        check(cylinders)
        @cylinders = cylinders.rotate(cylinders.index(1)).freeze
      end

      # @return [Integer]
      def size = cylinders.size

      # @param cylinder [Integer]
      # @return [Integer] the one that fires after it
      def after(cylinder) = cylinders[(cylinders.index(cylinder) + 1) % size]

      # @return [FiringOrder] the same engine turning the other way
      def reversed = self.class.new(cylinders.reverse)

      # @return [Boolean] whether a cap wired for it is right in both directions of the rotor
      def same_both_ways? = reversed.cylinders == cylinders

      # @return [Array<Array(Integer, Integer)>] cylinders a whole turn of the crank apart, which share a coil where a spark is wasted; none where
      #   the number of cylinders is odd
      def pairs = size.odd? ? [] : cylinders.first(size / 2).zip(cylinders.last(size / 2))

      # @return [String] "1-3-4-2"
      def to_s = cylinders.join('-')

      private

      def check(cylinders)
        known = SIZES.include?(cylinders.size)
        refuse("Order: #{cylinders.size} cylinders; an engine with a distributor has #{SIZES.join(', ')}") unless known
        twice = cylinders.find { |one| cylinders.count(one) > 1 }
        refuse("Order: cylinder #{twice} stands in it twice") if twice
        missing = (1..cylinders.size).find { |one| !cylinders.include?(one) }
        refuse("Order: cylinder #{missing} is not in it") if missing
      end

      def refuse(message) = raise(InvalidQuantityError.new(message, field: 'order'))
    end
  end
end
