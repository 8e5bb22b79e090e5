# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A sheet as it is drawn, with what one unit has otherwise: where things lie is the same for all that have the sheet.
      class SheetDrawing
        # @param row [Models::SheetDrawing] that is done
        # @param sheet [Wattomneum::Circuits::Sheet] with overrides
        # @param own [Array<String>] UUIDs of what is otherwise on the unit
        def self.call(row, sheet, own)
          { pictures: pictures(row, sheet, own), problem: row.problem }
        end

        # @return [Array<Hash>] none where it is not drawn
        def self.pictures(row, sheet, own)
          presenter = new(sheet, own)
          row.drawing.to_h.fetch('pictures', []).each { |picture| presenter.rewrite(picture) }
        end

        # @param sheet [Wattomneum::Circuits::Sheet]
        # @param own [Array<String>]
        def initialize(sheet, own)
          @own = own.to_set
          @parts = sheet.parts.to_h { |part| [part.uuid, part] }
          @wires = sheet.wires.to_h { |wire| [wire.uuid, wire] }
        end

        # @param picture [Hash] is changed
        # @return [void]
        def rewrite(picture)
          picture['parts'].each do |drawn|
            drawn['own'] = @own.include?(drawn['uuid'])
            name(drawn, @parts[drawn['uuid']]) if drawn['uuid'] && drawn['label']
          end
          picture['wires'].each do |drawn|
            drawn['own'] = @own.include?(drawn['wire'])
            colour(drawn, @wires[drawn['wire']]) if drawn['wire']
            drawn['shades'] = Wattomneum::Circuits::Drawing::WireColours.of(drawn['colour'])
          end
        end

        private

        # A metal's sign is named by its body.
        def name(drawn, part)
          drawn['label']['lines'][0] = Wattomneum::Circuits::Drawing::Brief.title(part) if part && drawn['kind'] != 'connector'
        end

        def colour(drawn, wire)
          return if wire.nil?

          drawn['thick'] = wire.section_mm2.to_f >= Wattomneum::Circuits::Drawing::Brief::THICK_MM2
          return if drawn['colour'] == wire.colour

          relabel(drawn['label'], drawn['number'], drawn['colour'], wire.colour) if drawn['label']
          drawn['colour'] = wire.colour
        end

        # In the same room: in one line, in two, or the number alone.
        def relabel(label, number, was, now)
          stacked = label['lines'] == [number, was]
          label['lines'] = stacked ? [number, now].compact : [[number, now].compact.join(' ')] unless label['lines'] == [number] && was
        end
      end
    end
  end
end
