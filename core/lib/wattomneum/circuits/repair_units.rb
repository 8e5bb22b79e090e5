# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The repair units of a circuit.
    class RepairUnits
      KINDS = DataFile.load('repair_units').freeze
      STARTER = 'starter'
      ALIKE = { 'strand' => 'splice', 'ring' => 'ground', 'clamp' => 'ground', 'lug' => 'stud', 'starter' => 'load', 'strap' => 'ground',
                'mount' => 'stud' }.freeze
      private_constant :ALIKE

      # @param circuit [Circuit]
      def initialize(circuit)
        @circuit = circuit
        @sheet = circuit.sheet
      end

      # @param index [Integer] of a branch
      # @return [RepairUnit]
      def of(index) = (@of ||= {})[index] ||= units.fetch(key_of(index))

      # @param indices [Array<Integer>]
      # @return [Array<RepairUnit>] in this order, each once
      def along(indices) = indices.map { |index| of(index) }.uniq

      # @param key [String]
      # @return [RepairUnit]
      # @raise [UnknownKeyError]
      def fetch(key) = units[key] || raise(UnknownKeyError, "this unit's circuit has no part \"#{key}\"")

      # @return [Array<RepairUnit>]
      def all = units.values

      # @param unit [RepairUnit]
      # @return [Float] how likely it is the cause, relative to an open run of wire
      def rate(unit) = BaseRates.of(ALIKE.fetch(unit.kind, unit.kind), @sheet, unit.zone)

      private

      def units
        @units ||= @circuit.owned.each_index.group_by { |index| key_of(index) }.to_h { |key, indices| [key, unit(key, indices)] }.freeze
      end

      def key_of(index)
        one = @circuit.owned[index]
        return STARTER if starter_items.include?((one.wire || one.ring_of || one.part).uuid)
        return "wire #{(one.wire || one.ring_of).number}" if one.wire || mount?(one.ring_of)
        return "#{one.part.ring_word} of wire #{one.ring_of.number} on #{one.part.id}" if one.ring_of

        one.part.is_a?(Parts::Connector) ? "#{one.part.id} #{one.branch.name}" : one.part.id
      end

      def unit(key, indices)
        parts = indices.map { |index| @circuit.owned[index] }
        kind = kind_of(key, parts.first)
        row = KINDS.fetch(kind)
        RepairUnit.new(key: key, kind: kind, label: label(key, parts.first), item_uuids: parts.map { |one| (one.wire || one.part).uuid }.uniq,
                       zone: (parts.first.wire || parts.first.part).zone, minutes: row['minutes'], cautions: row.fetch('cautions', []),
                       laddered: row.fetch('laddered', false)).freeze
      end

      def kind_of(key, one)
        return STARTER if key == STARTER
        return kind_of_wire(one.wire || one.ring_of) if one.wire || mount?(one.ring_of)

        one.ring_of ? one.part.ring_word : one.part.kind
      end

      # A strap between two bodies of metal, a mounting face or bracket, or a run of wire.
      def kind_of_wire(wire)
        return 'strap' if wire_ends(wire).all?(Parts::Body)

        mount?(wire) ? 'mount' : 'wire'
      end

      # Bolted on: nobody gave it a size, and it lies on metal. Its lug is its face.
      def mount?(wire)
        wire && wire.size.nil? && wire_ends(wire).one?(Parts::Body)
      end

      def wire_ends(wire) = [wire.from, wire.to].map { |node| @sheet.part(node.split(':', 2).first) }

      def label(key, one)
        return 'Starter with its solenoid' if key == STARTER
        return metal_label(one.wire || one.ring_of) if %w[strap mount].include?(kind_of(key, one))
        return upper(@circuit.describe(@circuit.owned.index(one))) if one.wire
        return "#{upper(Points.drawn(key))}, #{one.part.label}" if one.ring_of || one.part.is_a?(Parts::Connector)

        id = Points.drawn(one.part.id)
        one.part.label == one.part.id ? id : "#{id}, #{one.part.label}"
      end

      # "Strap, BLOCK to FRAME"
      def metal_label(wire) = "#{upper(wire.drawn_number)}, #{Points.drawn(wire.from)} to #{Points.drawn(wire.to)}"

      def upper(words) = words[0].upcase + words[1..]

      # The motor of the start loop, what closes onto it, and the link between the two.
      def starter_items
        @starter_items ||= @sheet.loops.select { |loop| loop.key == 'start' }.flat_map { |loop| around(@sheet.part(loop.load)) }.to_set
      end

      def around(motor)
        link = @sheet.wires.find { |wire| [wire.from, wire.to].include?(motor.node(motor.pins.first)) }
        return [motor.uuid] if link.nil?

        other = [link.from, link.to].find { |node| node != motor.node(motor.pins.first) }
        solenoid = @sheet.part(other.split(':', 2).first)
        solenoid.is_a?(Parts::Relay) ? [motor.uuid, link.uuid, solenoid.uuid] : [motor.uuid]
      end
    end
  end
end
