# frozen_string_literal: true

require 'digest'

module Wattomneum
  module Circuits
    # What of a circuit comes apart for a reading: a component with its plug off, a plug between its halves, a fuse or relay pulled, a wire off
    # the stud it is bolted to, and, where nothing else parts them, the end of one wire out of the pin or splice that several meet in.
    class Apart
      # id: "K11", "wire 8", "end of wire 5 in SP6"; uuid: what it is for ever; branches: that are open then; wire: UUID of the wire that it is of
      Thing = Struct.new(:id, :uuid, :label, :branches, :wire, keyword_init: true)
      END_OF = 'end of '
      private_constant :END_OF

      # @param id [String]
      # @return [Boolean] whether it is a wire, not a component
      def self.wire?(id) = id.start_with?(Points::RING)

      # @param id [String]
      # @return [Boolean] whether it is one end of a wire
      def self.end?(id) = id.start_with?(END_OF)

      # @param id [String]
      # @param sheet [Sheet]
      # @return [String, nil] what there is to be opened: wire (off its stud), pin or splice (an end of a wire out of it), or a kind of component
      def self.kind(id, sheet)
        return 'wire' if wire?(id)
        return sheet.part(id)&.kind unless end?(id)

        sheet.part(id.split(' in ').last)&.kind == 'splice' ? 'splice' : 'pin'
      end

      # @param ids [Array<String>]
      # @return [String, nil] in words, nil for none: "K11 and X8 unplugged, wire 8 off its stud, wire 5 out of SP6"
      def self.words(ids)
        ends, whole = ids.partition { |id| end?(id) }
        wires, parts = whole.partition { |id| wire?(id) }
        said = [*("#{parts.join(' and ')} unplugged" if parts.any?), *("#{wires.join(' and ')} off its stud" if wires.any?),
                *ends.map { |id| id.delete_prefix(END_OF).sub(' in ', ' out of ') }]
        said.join(', ') if said.any?
      end

      # @param circuit [Circuit]
      def initialize(circuit)
        @circuit = circuit
        @sheet = circuit.sheet
      end

      # @return [Array<Thing>] that somebody may choose, components first
      def all = plugs + stud_wires + ends

      # @param id [String]
      # @return [Thing]
      # @raise [UnknownKeyError]
      def fetch(id)
        of_part(@sheet.part(id)) || (stud_wires + ends).find { |thing| thing.id == id } ||
          raise(UnknownKeyError, "this unit's circuit has no plug or component \"#{id}\"")
      end

      # @param ids [Array<String>]
      # @return [Array<Integer>] branches that are open with all of them apart
      def branches(ids) = ids.flat_map { |id| fetch(id).branches }

      # @param uuid [String]
      # @return [Thing, nil] nil where the sheets have lost it
      def kept(uuid) = of_part(@sheet.parts.find { |part| part.uuid == uuid }) || (stud_wires + ends).find { |thing| thing.uuid == uuid }

      private

      def of_part(part) = part && Thing.new(id: part.id, uuid: part.uuid, label: part.label, branches: @circuit.inside(part))
      def plugs = @sheet.parts.reject { |part| part.shares_pins? || part.pins.size < 2 }.map { |part| of_part(part) }

      # Two of one wire where it lies between two studs: off at both.
      def stud_wires
        @stud_wires ||= rings('stud').group_by { |index| @circuit.owned[index].ring_of }.map do |wire, indices|
          stud = @circuit.owned[indices.first].part
          Thing.new(id: "#{Points::RING}#{wire.number}", uuid: wire.uuid, label: "off #{stud.label}", wire: wire.uuid,
                    branches: indices)
        end
      end

      def ends = @ends ||= strands + crimped

      def strands
        rings('splice').map { |index| @circuit.owned[index].then { |one| end_of(one.ring_of, one.part.id, "out of #{one.part.label}", index) } }
      end

      # Several wires in one pin.
      def crimped
        by_wire = @circuit.owned.each_index.select { |index| @circuit.owned[index].wire }.group_by { |index| @circuit.owned[index].wire }
        shared.flat_map { |pin, wires| wires.map { |wire| end_of(wire, pin, "out of #{pin}", by_wire.fetch(wire).first) } }
      end

      def shared
        ends = @sheet.wires.flat_map { |wire| [wire.from, wire.to].map { |pin| [pin, wire] } }
        pins = ends.group_by(&:first).transform_values { |rows| rows.map(&:last) }
        pins.select { |pin, wires| wires.size > 1 && !@sheet.part(pin.split(':').first)&.ring(wires.first, pin.split(':', 2).last) }
      end

      def end_of(wire, where, label, index)
        Thing.new(id: "#{END_OF}wire #{wire.number} in #{where}", uuid: uuid_of("#{wire.uuid} #{where}"), label: label, wire: wire.uuid,
                  branches: [index])
      end

      def rings(kind) = @circuit.owned.each_index.select { |index| @circuit.owned[index].ring_of && @circuit.owned[index].part.kind == kind }

      # Neither the wire nor what it ends in: always the same.
      def uuid_of(words)
        Digest::SHA256.hexdigest(words).then { |hex| [hex[0, 8], hex[8, 4], hex[12, 4], hex[16, 4], hex[20, 12]].join('-') }
      end
    end
  end
end
