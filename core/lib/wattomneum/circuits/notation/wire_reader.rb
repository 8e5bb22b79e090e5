# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Reads the wires of a sheet, from YAML or CSV alike, and objects to ends that lead nowhere.
      class WireReader
        # fields: as written; place: a callable from field name to line and column
        Row = Struct.new(:fields, :place, keyword_init: true)
        NAMES = { 'number' => :number, 'uuid' => :uuid, 'from' => :from, 'to' => :to, 'colour' => :colour, 'mm2' => :section_mm2,
                  'awg' => :gauge_awg, 'length_m' => :length_m, 'zone' => :zone, 'twisted_with' => :twisted_with,
                  'shielded' => :shielded, 'ohm' => :ohm }.freeze
        LIMITS = { 'mm2' => [0.1, 400], 'length_m' => [0.01, 500], 'ohm' => [0.00001, 100_000_000] }.freeze
        STEPS_A_WIRE = 50
        private_constant :LIMITS, :STEPS_A_WIRE

        # @param rows [Array<Row>]
        # @param parts [Array<Part>]
        # @param key [String] of the sheet
        # @param zones [Hash]
        # @param earlier [Sheet, nil]
        # @param unread [Array<String>] components that were objected to already: what goes to them is not objected to again
        # @param written_now [Boolean] whether somebody writes it now: what was kept before stays readable with words that nobody looked up
        def initialize(rows, parts:, key:, zones:, earlier:, unread: [], written_now: false)
          @rows = rows
          @parts = parts.to_h { |part| [part.id, part] }
          @key = key
          @zones = zones
          @earlier = earlier
          @unread = unread
          @written_now = written_now
          @problems = []
          @loose = []
        end

        # @return [Array(Array<Wire>, Array<Sheet::LooseEnd>, Array<Problem>)]
        def read
          seen = {}
          wires = @rows.filter_map do |row|
            number = row.fields['number'].to_s
            next wrong(row, 'number', 'a wire has no number', 'Give it the one on the drawing, or a word') if
              number.empty? || row.fields['number'].is_a?(Enumerable)

            if seen[number]
              next wrong(row, 'number', "wire #{number} stands here twice, first in line #{seen[number]}", 'Two wires need two numbers: 101a, 101b')
            end

            seen[number] = row.place.call('number').first
            wire(row, number)
          end
          [wires, @loose, @problems]
        end

        private

        def wrong(row, field, message, way_out)
          line, column = row.place.call(field)
          @problems << Problem.new(line: line, column: column, message: message, way_out: way_out)
          nil
        end

        def wire(row, number)
          Effort.spend!(STEPS_A_WIRE)
          known = NAMES.keys
          (row.fields.keys - known).each { |name| surplus(row, number, name, known) }
          return unless words?(row, number)

          uuid = row.fields['uuid'] || @earlier&.wire(number)&.uuid || Sheet.first_uuid(@key, 'wire', number)
          from = wire_end(row, number, uuid, 'from')
          to = wire_end(row, number, uuid, 'to')
          # All that is wrong with a row is said at once.
          sizes = figures(row, number)
          gauge = gauge(row, number)
          zone = zone(row, number)
          colour = colour(row, number)
          return if from.nil? || to.nil? || sizes.nil?
          return wrong(row, 'to', "wire #{number} goes from #{from} back to itself", 'Name its other end') if from == to

          Wire.new(number: number, uuid: uuid, from: from, to: to, gauge_awg: gauge, zone: zone, **sizes,
                   colour: colour, twisted_with: row.fields['twisted_with']&.to_s,
                   shielded: SHIELDED.fetch(row.fields['shielded']))
        end

        SHIELDED = { nil => false, '' => false, false => false, 'no' => false, 'false' => false, true => true, 'yes' => true, 'true' => true }.freeze
        TEXTS = %w[from to colour zone twisted_with].freeze
        private_constant :SHIELDED, :TEXTS

        # "{ length_m: 2,5 }" reads as 2 and a field called 5; a row of a table may have a cell too many.
        def surplus(row, number, name, known)
          case name
          when WireList::SURPLUS then wrong(row, name, "wire #{number} has a cell more than there are columns",
                                            'A comma inside a cell needs quotes around it; or write the list with semicolons')
          when /\A\d+\z/ then wrong(row, name, "wire #{number} has a comma before \"#{name}\"", 'In { } a comma parts fields: write 2.5')
          else wrong(row, name, "a wire has no \"#{name}\"", "It may have #{known.join(', ')}")
          end
        end

        def words?(row, number)
          before = @problems.size
          TEXTS.each do |name|
            value = row.fields[name]
            wrong(row, name, "#{name} of wire #{number} is text", 'Write it in one line') if value.is_a?(Enumerable)
          end
          unless SHIELDED.key?(row.fields['shielded'])
            wrong(row, 'shielded', "shielded of wire #{number} is yes or no, got #{row.fields['shielded']}", 'Write yes, or leave it empty')
          end
          uuid = row.fields['uuid']
          unless uuid.nil? || uuid.to_s.match?(FieldCheck::UUID)
            wrong(row, 'uuid', "uuid of wire #{number} is no UUID", 'Leave it out, and one is given')
          end
          @problems.size == before
        end

        def figures(row, number)
          before = @problems.size
          sizes = LIMITS.to_h do |name, (least, most)|
            [NAMES.fetch(name), figure(row, number, name, least, most)]
          end
          @problems.size == before ? sizes : nil
        end

        def figure(row, number, name, least, most)
          written = row.fields[name]
          return if written.nil? || written == ''

          value = Number.read(written)
          return wrong(row, name, "#{name} of wire #{number} is a number, got \"#{written}\"", 'Write digits, as in 2.5') if value.nil?
          return value.to_f if value.between?(least, most)

          wrong(row, name, "#{name} of wire #{number} is #{least} to #{most}, got #{value}", 'Look at the unit in its name')
        end

        def gauge(row, number)
          value = row.fields['awg']
          return if value.nil? || value == ''

          Wiring::Conductor.awg_number(value)
          value.to_s
        rescue OutOfTableRangeError => e
          wrong(row, 'awg', "wire #{number}: #{e.message}", 'Leave it empty, or give mm2')
        end

        def zone(row, number)
          zone = row.fields['zone']
          return zone if zone.nil? || @zones.empty? || @zones.key?(zone)

          wrong(row, 'zone', "wire #{number} runs through zone #{zone}, which the sheet does not name", "Zones here: #{@zones.keys.join(', ')}")
        end

        def colour(row, number)
          colour = row.fields['colour']&.to_s
          unknown = colour && @written_now && Drawing::WireColours.unknown(colour)
          return colour unless unknown

          wrong(row, 'colour', "wire #{number} is \"#{colour}\", and \"#{unknown}\" is no colour known here",
                "Colours are #{Drawing::WireColours::TABLE.keys.join(', ')}; a tracer stands behind a stroke, as in red/blue")
        end

        def wire_end(row, number, uuid, side)
          drawn = row.fields[side].to_s
          id, pin = drawn.split(':', 2)
          part = @parts[id]
          return if @unread.include?(id)
          return nowhere(row, side, number, drawn) if part.nil?
          return part.node(part.pins.first) if pin.nil? && part.joins?

          name = part.pin(pin.to_s)
          name ? part.node(name) : unknown_pin(row, side, number, part, pin.to_s, uuid)
        end

        def nowhere(row, side, number, drawn)
          words = drawn.empty? ? "wire #{number} has no \"#{side}\"" : "wire #{number} goes to #{drawn}, and no component is called that"
          wrong(row, side, words, "Components here: #{@parts.keys.first(12).join(', ')}#{' ...' if @parts.size > 12}")
        end

        # "A1:87" where the unit has A/87 and B/87: kept hanging until somebody rules which one it is.
        def unknown_pin(row, side, number, part, pin, uuid)
          candidates = part.pins.select { |name| name.end_with?("/#{pin}") }
          if candidates.any? && !pin.empty?
            @loose << Sheet::LooseEnd.new(wire_uuid: uuid, side: side.to_sym, drawn: "#{part.id}:#{pin}",
                                          candidates: candidates.map { |name| part.node(name) })
            return "loose:#{number} #{side}"
          end

          wrong(row, side, "wire #{number} goes to #{part.id}:#{pin}, which #{part.kind.tr('_', ' ')} #{part.id} has not",
                "Pins of #{part.id}: #{part.pins.first(24).join(', ')}")
        end
      end
    end
  end
end
