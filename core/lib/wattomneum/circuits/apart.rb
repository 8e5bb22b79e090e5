# frozen_string_literal: true

module Wattomneum
  module Circuits
    # What of a circuit comes apart for a reading: a component with its plug off, a plug between its halves, a fuse or relay pulled, a wire off
    # the stud it is bolted to.
    class Apart
      # id: "K11", "wire 8"; uuid: what it is for ever; branches: that are open then
      Thing = Struct.new(:id, :uuid, :label, :branches, keyword_init: true)

      # @param id [String]
      # @return [Boolean] whether it is a wire, not a component
      def self.wire?(id) = id.start_with?(Points::RING)

      # @param ids [Array<String>]
      # @return [String, nil] in words, nil for none: "K11 and X8 unplugged, wire 8 off its stud"
      def self.words(ids)
        wires, parts = ids.partition { |id| wire?(id) }
        [*("#{parts.join(' and ')} unplugged" if parts.any?), *("#{wires.join(' and ')} off its stud" if wires.any?)].join(', ').then do |said|
          said unless said.empty?
        end
      end

      # @param circuit [Circuit]
      def initialize(circuit)
        @circuit = circuit
        @sheet = circuit.sheet
      end

      # @return [Array<Thing>] that somebody may choose, components first
      def all = plugs + stud_wires

      # @param id [String]
      # @return [Thing]
      # @raise [UnknownKeyError]
      def fetch(id)
        of_part(@sheet.part(id)) || stud_wires.find { |thing| thing.id == id } ||
          raise(UnknownKeyError, "this unit's circuit has no plug or component \"#{id}\"")
      end

      # @param ids [Array<String>]
      # @return [Array<Integer>] branches that are open with all of them apart
      def branches(ids) = ids.flat_map { |id| fetch(id).branches }

      # @param uuid [String]
      # @return [Thing, nil] nil where the sheets have lost it
      def kept(uuid) = of_part(@sheet.parts.find { |part| part.uuid == uuid }) || stud_wires.find { |thing| thing.uuid == uuid }

      private

      def of_part(part) = part && Thing.new(id: part.id, uuid: part.uuid, label: part.label, branches: @circuit.inside(part))
      def plugs = @sheet.parts.reject { |part| part.shares_pins? || part.pins.size < 2 }.map { |part| of_part(part) }

      # Two of one wire where it lies between two studs: off at both.
      def stud_wires
        @stud_wires ||= rings.group_by { |index| @circuit.owned[index].ring_of }.map do |wire, indices|
          stud = @circuit.owned[indices.first].part
          Thing.new(id: "#{Points::RING}#{wire.number}", uuid: wire.uuid, label: "off #{stud.label}", branches: indices)
        end
      end

      def rings = @circuit.owned.each_index.select { |index| @circuit.owned[index].ring_of && @circuit.owned[index].part.kind == 'stud' }
    end
  end
end
