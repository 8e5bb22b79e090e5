# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A sheet made ready for solving: nodes, branches, and which item each branch belongs to.
    class Circuit
      # Something that can be opened: a wire, or a component as a whole or in one of its parts.
      #   key: "wire 101", "F3", "X1 pin 4"; branches: indices; whole: false for one contact, pin or ring of a component
      Item = Struct.new(:key, :uuid, :kind, :label, :zone, :branches, :whole, keyword_init: true)
      # A branch with what it belongs to; part is nil for a wire. ring_of: the wire whose ring, lug or clamp it is, on its part.
      Owned = Struct.new(:branch, :part, :wire, :ring_of, keyword_init: true)

      attr_reader :sheet, :ohms, :network, :owned, :relays, :fuses

      # @param sheet [Sheet]
      # @param ohms [Hash{Integer => Float}] branches that have another resistance than the sheet gives
      # @raise [OverBudgetError] if it is larger than Budgets allows
      def initialize(sheet, ohms: {})
        @sheet = sheet
        @ohms = ohms
        @nodes = { sheet.reference => 0 }
        @owned = sheet.parts.flat_map { |part| of_part(part) } + sheet.wires.flat_map { |wire| of_wire(wire) }
        sheet.parts.each { |part| part.pins.each { |pin| index(part.node(pin)) } }
        check_budgets
        branches = @owned.each_with_index.map { |one, index| network_branch(one.branch, ohms[index]) }
        @network = Solving::Network.new(@nodes.size, branches)
        @names = @nodes.keys.freeze
        group_branches
        freeze
      end

      # @param extra [Array<Solving::Network::Branch>] instruments, shorts
      # @param ohms [Hash{Integer => Float}] branches that have another resistance
      # @return [Solving::Network] with them; what leads from a node to ground, and what lies beside a branch of the circuit, comes in without
      #   working out the order of elimination anew
      def network_with(extra, ohms: {})
        return network if extra.empty? && ohms.empty?

        base = prepared.room_for?(extra) ? prepared : network
        base = base.altered(ohms) if ohms.any?
        extra.empty? ? base : base.with(extra)
      end

      # @param ohms [Hash{Integer => Float}] branches that have another resistance in all of them
      # @return [Solving::Variations] the same network to be solved very often, with a short or another resistance somewhere
      def variations(ohms: {}) = Solving::Variations.new(ohms.empty? ? prepared : prepared.altered(ohms))

      # @return [Array<String>] node names, the reference first
      attr_reader :names

      # @param name [String] "K1:30"
      # @return [Integer]
      # @raise [UnknownKeyError]
      def node(name) = @nodes.fetch(name) { raise UnknownKeyError, "sheet #{sheet.key} has no pin #{name}" }

      # @param name [String]
      # @return [Boolean]
      def node?(name) = @nodes.key?(name)

      # @return [Array<Item>] everything that can come open
      def items
        @items[:all] ||= (sheet.wires.map { |wire| wire_item(wire) } + sheet.parts.flat_map { |part| part_items(part) }).freeze
      end

      # @param key [String]
      # @return [Item]
      # @raise [UnknownKeyError]
      def item(key)
        @items[:by_key] ||= items.reverse.to_h { |item| [item.key, item] }.freeze
        @items[:by_key][key] || raise(UnknownKeyError, "sheet #{sheet.key} has nothing called #{key}")
      end

      # @return [Array<Watch>] loads, signals and supplies whose working shows
      def watches = @items[:watches] ||= sheet.parts.flat_map(&:watches).freeze

      # @param node [String] any pin of a component
      # @return [Watch, nil] by which one sees whether that component works
      def watch_of(node)
        @items[:watch_of] ||= watches.reject(&:signal?).reverse.to_h { |watch| [watch.key, watch] }.freeze
        @items[:watch_of][node.split(':', 2).first]
      end

      # @param watch [Watch]
      # @return [Integer, nil] the branch that does the work: a load's own, a relay's coil; nil for a signal, which only reads
      def element(watch)
        @items[:elements] ||= watches.reject(&:signal?).to_h do |one|
          [one.key, owned.index { |its| its.part&.id == one.key && [its.branch.from, its.branch.to] == [one.from, one.to] }]
        end
        @items[:elements][watch.key]
      end

      # @param index [Integer] of a branch
      # @return [Boolean] true for a path without load: wires, closed contacts, fuses, connectors, joints
      def conductor?(index)
        one = owned[index]
        one.part.nil? || one.part.conductor? || path_inside?(one) || (CONTACTS.include?(one.branch.gate) && !one.part.is_a?(Parts::Load))
      end

      # @param part [Part]
      # @return [Array<Integer>] its branches without the clamps, lugs and rings that sit on it: what comes off with it
      def inside(part) = @by_part.fetch(part.id, []).reject { |index| owned[index].ring_of }

      # @param index [Integer]
      # @return [String] what a branch is, in words: "wire 101 red 2.5 mm2", "relay K1, contact 30 to 87"
      def describe(index)
        one = owned[index]
        return wire_words(one.wire) if one.part.nil?

        [one.part.label == one.part.id ? one.part.id : "#{one.part.id} #{one.part.label}", one.branch.name].compact.join(', ')
      end

      private

      # With room for a branch from every node to ground.
      def prepared
        @items[:prepared] ||= Solving::Network.new(@nodes.size, network.branches, spare: (1...@nodes.size).map { |node| [node, 0] })
      end

      def check_budgets
        Budgets.check(:pins, @nodes.size)
        Budgets.check(:relays, sheet.parts.grep(Parts::Relay).size)
        Budgets.check(:key_states, sheet.states.size)
      end

      CONTACTS = %i[states energised rest].freeze
      LOW_OHM = 0.5
      private_constant :CONTACTS, :LOW_OHM

      # Lugs and clamps, and inside a control unit its supply and ground pins and a driver that is on, are ways for current; a starter of a
      # few milliohms is not.
      def path_inside?(one)
        one.ring_of || (one.part.is_a?(Parts::ControlUnit) && one.branch.volt.zero? && one.branch.ohm <= LOW_OHM)
      end

      def index(name) = @nodes[name] ||= @nodes.size

      def network_branch(branch, ohm)
        Solving::Network::Branch.new(from: index(branch.from), to: index(branch.to), ohm: ohm || branch.ohm, volt: branch.volt)
      end

      def of_part(part) = part.branches.map { |branch| Owned.new(branch: branch, part: part) }

      # A wire ends in a ring of its own where it joins others, in a clamp on a post, in a lug on a stud.
      def of_wire(wire)
        ends = [wire.from, wire.to].map { |name| wire_end(wire, name) }
        rings = ends.filter_map(&:last)
        through = PartBranch.new(from: ends[0].first, to: ends[1].first, ohm: wire.resistance_ohm)
        [Owned.new(branch: through, wire: wire), *rings]
      end

      def wire_end(wire, name)
        id, pin = name.split(':', 2)
        part = sheet.part(id)
        ring = part&.ring(wire, pin)
        ring ? [ring.from, Owned.new(branch: ring, part: part, ring_of: wire)] : [name, nil]
      end

      def group_branches
        @items = {}
        @relays = sheet.parts.grep(Parts::Relay).freeze
        @fuses = sheet.parts.grep(Parts::Fuse).freeze
        @by_part = @owned.each_index.group_by { |index| @owned[index].part&.id }.freeze
        @by_wire = @owned.each_index.select { |index| @owned[index].wire }.to_h { |index| [@owned[index].wire.uuid, index] }.freeze
      end

      def wire_item(wire)
        Item.new(key: "wire #{wire.number}", uuid: wire.uuid, kind: 'wire', label: wire_words(wire), zone: wire.zone,
                 branches: [@by_wire.fetch(wire.uuid)], whole: true)
      end

      def wire_words(wire) = ["wire #{wire.drawn_number}", wire.colour, wire.size].compact.join(' ')

      def part_items(part)
        lugs, indices = (@by_part[part.id] || []).partition { |index| @owned[index].ring_of && !part.joint? }
        named = indices.select { |index| @owned[index].branch.name }
        whole = indices.empty? ? [] : [part_item(part, part.id, part.label, indices, whole: true)]
        whole + ((named.size < 2 ? [] : named) + lugs).map { |index| named_item(part, index) }
      end

      def named_item(part, index) = part_item(part, "#{part.id} #{@owned[index].branch.name}", describe(index), [index], whole: false)

      def part_item(part, key, label, indices, whole:)
        Item.new(key: key, uuid: part.uuid, kind: part.kind, label: label, zone: part.zone, branches: indices, whole: whole)
      end
    end
  end
end
