# frozen_string_literal: true

module Wattomneum
  module Ignition
    # A distributor cap as it is told of one engine: its order, its rotor, where cylinder 1 stands; what is on it now, which cylinders are weak, what
    # loose leads there are, and how another drawing has it.
    class Cap
      NOT_KNOWN = 'not known'
      # Of the rotor, as it is said; what is not known is both.
      ROTATIONS = [*TowerMap::ROTATIONS, NOT_KNOWN].freeze
      # rotation: of the rotor; towers: Hash of cylinder to hour, in firing order; seen: the same on the other drawing, nil for none;
      # seen_rotation: of the rotor there; verdict: CapCheck::Verdict of the leads as they are, nil where none are on; change: two leads that
      # make it right
      Map = Struct.new(:rotation, :towers, :seen, :seen_rotation, :verdict, :change, keyword_init: true)

      # @return [FiringOrder]
      attr_reader :order
      # @return [String] of ROTATIONS
      attr_reader :rotation
      # @return [Boolean] whether cylinders a turn apart share a coil
      attr_reader :wasted

      # @param order [String] "1-3-4-2"
      # @param rotation [String] of ROTATIONS
      # @param first_at [Numeric] hour of the tower of cylinder 1
      # @param intervals [Array<Numeric>, nil] degrees of an uneven engine
      # @param towers [Array<Integer>, nil] cylinders as their leads stand, clockwise
      # @param weak [Array<Integer>] cylinders
      # @param needs [Array<Numeric>] cm from tower to plug, cylinder 1 first
      # @param leads [Array<Numeric>] cm, in any order
      # @param seen_first_at [Numeric, nil] hour of cylinder 1 on another drawing
      # @param seen_mirrored [Boolean] whether that one is seen from inside
      # @raise [InvalidQuantityError] where any of it cannot be so
      def initialize(order:, rotation:, first_at:, intervals: nil, towers: nil, weak: [], wasted: false, needs: [], leads: [], seen_first_at: nil,
                     seen_mirrored: false)
        @order = FiringOrder.read(order)
        @rotation = rotation
        @wasted = wasted
        @check = towers && CapCheck.new(@order, towers)
        @maps = ways.map { |way| TowerMap.new(@order, rotation: way, first_at: first_at, intervals: intervals) }
        @seen = { first_at: seen_first_at, mirrored: seen_mirrored }
        @changes = weak.empty? ? nil : SwappedLeads.new(@order, wasted: wasted).changes(weak)
        @lengths = needs.empty? ? [] : LeadLengths.give(needs.each_with_index.to_h { |need, at| [at + 1, need] }, leads)
      end

      # @return [Array<Map>] one for each direction that may be
      def maps = ways.zip(@maps).map { |way, map| one(way, map) }

      # @return [Array<SwappedLeads::Change>, nil] what explains the weak cylinders; nil where none were said to be weak
      attr_reader :changes

      # @return [Array<LeadLengths::Given>] loose leads, by cylinder
      attr_reader :lengths

      # @return [Array<Array(Integer, Integer)>] cylinders that share a coil
      def pairs = wasted ? order.pairs : []

      private

      def ways = rotation == NOT_KNOWN ? TowerMap::ROTATIONS : [rotation]

      def one(way, map)
        Map.new(rotation: way, towers: map.hours, verdict: @check&.turning(way), change: @check&.swapped(way)&.first, **elsewhere(way, map))
      end

      # Looked at from inside, the rotor turns the other way.
      def elsewhere(way, map)
        return {} if @seen[:first_at].nil?

        { seen: map.seen(**@seen), seen_rotation: @seen[:mirrored] ? (TowerMap::ROTATIONS - [way]).first : way }
      end
    end
  end
end
