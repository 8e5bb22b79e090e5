# frozen_string_literal: true

module Wattomneum
  module Ignition
    # Leads as they are on a cap now, held against the order in which the engine fires.
    class CapCheck
      # right; reason: what stands where it does not belong, in words, nil where it is right
      Verdict = Struct.new(:right, :reason, keyword_init: true)

      # @param order [FiringOrder]
      # @param towers [Array<Integer>] cylinder of each lead, clockwise
      # @raise [InvalidQuantityError] for another number of towers, or a cylinder that has two leads or none
      def initialize(order, towers)
        @order = order
        refuse("a cap of #{towers.size} towers for #{order.size} cylinders: this engine has another cap") unless towers.size == order.size
        twice = towers.find { |one| towers.count(one) > 1 }
        refuse("cylinder #{twice} has two leads") if twice
        odd = towers.find { |one| !order.cylinders.include?(one) }
        refuse("this engine has no cylinder #{odd}") if odd
        @towers = towers.rotate(towers.index(1))
      end

      # @param rotation [String] of TowerMap::ROTATIONS
      # @return [Verdict]
      def turning(rotation)
        met = met_by_rotor(rotation)
        wrong = @order.cylinders.zip(met).find { |wanted, found| wanted != found }
        return Verdict.new(right: true) if wrong.nil?

        before = @order.cylinders[@order.cylinders.index(wrong.first) - 1]
        Verdict.new(right: false, reason: "after #{before} the rotor comes to #{wrong.last}, the order wants #{wrong.first}")
      end

      # @param rotation [String]
      # @return [Array<Array(Integer, Integer)>] pairs of leads that make it right once they change places; cylinder 1 is held to be right
      def swapped(rotation)
        met = met_by_rotor(rotation)
        wrong = @order.cylinders.zip(met).reject { |wanted, found| wanted == found }
        wrong.size == 2 && wrong.first == wrong.last.reverse ? [wrong.first.sort] : []
      end

      private

      def met_by_rotor(rotation) = rotation == 'clockwise' ? @towers : [@towers.first, *@towers.drop(1).reverse]
      def refuse(message) = raise(InvalidQuantityError.new("Cap: #{message}", field: 'towers'))
    end
  end
end
