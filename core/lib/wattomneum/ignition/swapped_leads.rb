# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Leads on the wrong towers, found from the cylinders that are weak: a cylinder is weak where its spark comes in another one's turn. Leads of two
    # cylinders that share a coil may change places without anybody noticing.
    class SwappedLeads
      # cylinders: whose leads change places; all: whether every lead stands as many towers round
      Change = Struct.new(:cylinders, :towers_round, keyword_init: true) do
        # @return [String]
        def words
          return "change the leads of #{cylinders.join(' and ')}" if towers_round.nil?

          "every lead stands #{towers_round == 1 ? 'one tower' : "#{towers_round} towers"} too far in the direction of the rotor: " \
            'turn them back, or the distributor went in turned'
        end
      end

      # @param order [FiringOrder]
      # @param wasted [Boolean] whether cylinders a turn apart share a coil
      def initialize(order, wasted: false)
        @order = order
        @wasted = wasted
        refuse('a wasted spark wants cylinders in pairs', 'wasted') if wasted && order.size.odd?
      end

      # @param led [Array<Integer>] cylinder whose lead is on each tower, in the order in which the rotor comes to them, the tower of cylinder 1 first
      # @return [Array<Integer>] cylinders that get their spark in another one's turn
      def weak_with(led) = led.each_with_index.reject { |cylinder, at| turn(at) == turn(@order.cylinders.index(cylinder)) }.map(&:first).sort

      # @param weak [Array<Integer>] cylinders that are weak or dead
      # @return [Array<Change>] single changes that explain just those; empty where no lead does
      # @raise [InvalidQuantityError] for a cylinder that the engine has not
      def changes(weak)
        odd = weak.find { |one| !@order.cylinders.include?(one) }
        refuse("this engine has no cylinder #{odd}", 'weak') if odd
        wanted = weak.uniq.sort
        return [] if wanted.empty?

        pairs.select { |one, other| weak_with(swapped(one, other)) == wanted }.map { |pair| Change.new(cylinders: pair) } + rounds(wanted)
      end

      private

      def turn(at) = @wasted ? at % (@order.size / 2) : at
      def pairs = @order.cylinders.sort.combination(2)

      def swapped(one, other)
        @order.cylinders.map { |cylinder| { one => other, other => one }.fetch(cylinder, cylinder) }
      end

      # All of them weak.
      def rounds(wanted)
        return [] unless wanted.size == @order.size

        (1...@order.size).select { |round| weak_with(@order.cylinders.rotate(-round)).size == @order.size }
                         .map { |round| Change.new(cylinders: @order.cylinders, towers_round: round) }
      end

      def refuse(message, field) = raise(InvalidQuantityError.new("Leads: #{message}", field: field))
    end
  end
end
