# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Whether what a unit has otherwise could stand on its sheet: held against the same rules as the sheet itself.
      class OverrideCheck
        # @param sheet [Sheet] without overrides
        # @param overrides [Hash{String => Hash{String => Object}}] by the UUID of the wire or component
        # @raise [UnknownKeyError] if no item has that UUID
        # @raise [InvalidQuantityError] for the first thing that cannot be
        def self.call(sheet, overrides) = new(sheet).call(overrides)

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
          @parts = sheet.parts.to_h { |part| [part.uuid, part] }
          @wires = sheet.wires.to_h { |wire| [wire.uuid, wire] }
        end

        # @param overrides [Hash]
        def call(overrides)
          overrides.each do |uuid, changes|
            wire = @wires[uuid]
            part = @parts[uuid] or wire or raise UnknownKeyError, "sheet #{@sheet.key} has no item #{uuid}"
            wire ? check_wire(wire, changes) : check_part(part, changes)
          end
        end

        private

        def check_part(part, changes)
          refuse(changes.keys.first) if changes.keys.intersect?(%w[id kind uuid])
          body = changes['body']
          refuse('body', "#{body} is no body of this sheet") if body && !(body.is_a?(String) && @sheet.part(body).is_a?(Parts::Body))
          numbers_only(changes, PartKinds.fields(part.kind).select { |_, rule| rule['type'] == 'number' }.keys)
          object(PartReader.problems_of(part.fields.merge(changes), @sheet), changes)
        end

        # A sheet reads "10k"; what overrides it is kept as it is.
        def numbers_only(changes, names)
          odd = changes.slice(*names).find { |_, value| !value.nil? && !value.is_a?(Numeric) }
          refuse(odd.first, "#{odd.first} is a number") if odd
        end

        def check_wire(wire, changes)
          odd = changes.keys - Sheet::WIRE_OVERRIDES
          refuse(odd.first, "a wire has no #{odd.first} to override") if odd.any?

          numbers_only(changes, %w[section_mm2 length_m ohm])
          names = WireReader::NAMES.invert
          fields = names.to_h { |attribute, name| [name, changes.fetch(attribute.to_s) { wire.public_send(attribute) }] }.compact
          kept = %w[from to].reject { |side| changes.key?(side) } # a loose end that is not ruled on hangs as before
          _, loose, problems = WireReader.new([WireReader::Row.new(fields: whole(fields, kept), place: ->(_) { [1, 1] })],
                                              parts: @sheet.parts, key: @sheet.key, zones: @sheet.zones, earlier: nil,
                                              written_now: changes.key?('colour')).read
          refuse('from', "#{loose.first.drawn} names a pin without its connector") if loose.any?
          refuse('colour', 'a colour is text') unless changes['colour'].nil? || changes['colour'].is_a?(String)
          object(problems, changes)
        end

        # Ends that stay as they are were read before: any end stands in for them.
        def whole(fields, kept)
          any = @sheet.wires.find { |wire| [wire.from, wire.to].none? { |node| node.start_with?('loose:') } }
          kept.each { |side| fields[side] = any.public_send(side) if fields[side].to_s.start_with?('loose:') }
          fields
        end

        def object(problems, changes) = problems.any? && refuse(changes.keys.first, problems.first.message)

        def refuse(field, message = "#{field} stays as it is drawn") = raise(InvalidQuantityError.new(message, field: field))
      end
    end
  end
end
