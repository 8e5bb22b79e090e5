# frozen_string_literal: true

require 'yaml'

module Wattomneum
  module Circuits
    module Notation
      # Writes a sheet in the form that SheetReader reads, UUIDs included, so that numbers and ids may change and items stay the
      # same ones.
      class SheetWriter
        # @param sheet [Sheet]
        # @return [String] YAML
        def self.write(sheet) = new(sheet).write

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
        end

        # @return [String]
        def write
          head = { 'sheet' => @sheet.key, 'title' => @sheet.title, 'system_volt' => @sheet.system_volt, 'reference' => @sheet.reference,
                   'note' => @sheet.note, 'states' => @sheet.states, 'zones' => @sheet.zones, 'places' => @sheet.places,
                   'loops' => @sheet.loops.map { |one| one.to_h.transform_keys(&:to_s) },
                   'stops' => @sheet.stops.map { |one| one.to_h.compact.transform_keys(&:to_s).reject { |_, value| value == [] } },
                   'components' => @sheet.parts.map { |part| part.fields.merge('uuid' => part.uuid) },
                   'wires' => @sheet.wires.map { |wire| wire_row(wire) },
                   'links' => @sheet.links.map { |link| link.to_h.transform_keys(&:to_s).compact } }
          YAML.dump(head.reject { |_, value| value.nil? || (value.respond_to?(:empty?) && value.empty?) }, line_width: -1).delete_prefix("---\n")
        end

        private

        # A loose end is written as it was drawn.
        def wire_row(wire)
          row = WireReader::NAMES.to_h { |name, attribute| [name, wire.public_send(attribute)] }
          @sheet.loose_ends.select { |loose| loose.wire_uuid == wire.uuid }.each { |loose| row[loose.side.to_s] = loose.drawn }
          row['shielded'] = nil unless wire.shielded
          row.compact
        end
      end
    end
  end
end
