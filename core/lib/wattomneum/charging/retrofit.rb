# frozen_string_literal: true

module Wattomneum
  module Charging
    # A stronger alternator in place of another: what the same cable, link and belt then bear.
    class Retrofit
      # From so much more on it is worth a look (ours).
      WORTH_PERCENT = 5.0
      CHECKS = ['Output cable and its link against the new rating', 'Case ground: measure its drop, paint and spacers count',
                'Belt, wrap and tensioner', 'Charge lamp, remote sense and load control: what the old one did and the new one must',
                'Clearance, and unused plugs insulated and parked'].freeze
      private_constant :WORTH_PERCENT

      # @param from_ampere [Float] rating of the one before
      # @param to_ampere [Float]
      def initialize(from_ampere:, to_ampere:)
        @ratio = to_ampere / from_ampere
        freeze
      end

      # Formula: drop goes with the current; Ohm's law.
      #
      # @return [Float] percent more drop in the same cable
      # @example 95 A to 130 A   # => 37
      def drop_percent = (@ratio - 1) * 100

      # Formula: heat goes with the square of the current; Joule's law.
      #
      # @return [Float] percent more heat in the same cable
      # @example 95 A to 130 A   # => 87
      def heat_percent = ((@ratio**2) - 1) * 100

      # @return [Boolean]
      def worth_a_look? = drop_percent >= WORTH_PERCENT

      # @return [String]
      def words = "#{drop_percent.round} % more drop and #{heat_percent.round} % more heat in the same cable at full output"
    end
  end
end
