# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # Where drawings contradict themselves or each other: one pin used twice, a plug with two sizes, one colour twice in a plug, a
      # component with two names, a pin number without its connector. Listed for a ruling, never silently resolved.
      class Conflicts
        # key: the same for the same conflict, so that a ruling finds it again; kind; words; items: UUIDs concerned; sheets: keys;
        # options: what may be ruled, each with the override that makes it true on the unit (empty where nothing changes)
        Conflict = Struct.new(:key, :kind, :words, :items, :sheets, :options, keyword_init: true)
        Option = Struct.new(:label, :overrides, keyword_init: true)
        PLUGS = [Parts::Connector, Parts::ControlUnit, Parts::Relay, Parts::Sensor].freeze
        private_constant :PLUGS

        # @param sheets [Array<Sheet>] of one unit, with its overrides
        # @param differences [Array<Assembly::Difference>] between them, where they are joined
        # @return [Array<Conflict>]
        def self.find(sheets, differences: []) = new(sheets, differences).find

        # @param sheets [Array<Sheet>]
        # @param differences [Array<Assembly::Difference>]
        def initialize(sheets, differences)
          @sheets = sheets
          @differences = differences
        end

        # @return [Array<Conflict>]
        def find
          @sheets.flat_map { |sheet| loose_ends(sheet) + pins_used_twice(sheet) + colours_twice(sheet) } + two_names + two_sizes + drawn_otherwise
        end

        private

        def loose_ends(sheet)
          sheet.loose_ends.map do |loose|
            wire = sheet.wires.find { |one| one.uuid == loose.wire_uuid }
            options = loose.candidates.map do |node|
              Option.new(label: "It is #{node}", overrides: { wire.uuid => { loose.side.to_s => node } })
            end
            conflict('pin_without_connector', "#{sheet.key} #{wire.number} #{loose.drawn}", [sheet], [wire.uuid], options,
                     "Wire #{wire.number} goes to #{loose.drawn}, which names a pin without its connector")
          end
        end

        # Posts, studs and splices take many wires; a crimped terminal takes one.
        def pins_used_twice(sheet)
          ends = sheet.wires.flat_map { |wire| [[wire.from, wire], [wire.to, wire]] }
          ends.group_by(&:first).filter_map do |node, uses|
            part = sheet.part(node.split(':', 2).first)
            next if uses.size < 2 || PLUGS.none? { |kind| part.is_a?(kind) }

            wires = uses.map(&:last)
            conflict('pin_used_twice', "#{sheet.key} #{node}", [sheet], wires.map(&:uuid), [both_right('Both are crimped into one terminal')],
                     "#{node} is used by wires #{wires.map(&:number).join(' and ')}")
          end
        end

        def both_right(words) = Option.new(label: words, overrides: {})

        def colours_twice(sheet)
          at_half = sheet.wires.each_with_object(Hash.new { |hash, half| hash[half] = [] }) do |wire, at|
            [wire.from, wire.to].map { |node| node.split('/').first }.uniq.each { |half| at[half] << wire }
          end
          plugs = sheet.parts.grep(Parts::Connector)
          plugs.flat_map { |plug| Parts::Connector::HALVES.flat_map { |half| colours_in(sheet, plug, half, at_half["#{plug.id}:#{half}"]) } }
        end

        def colours_in(sheet, plug, half, wires)
          wires.select(&:colour).group_by { |wire| wire.colour.downcase }.select { |_, same| same.size > 1 }.map do |colour, same|
            conflict('colour_twice', "#{sheet.key} #{plug.id}/#{half} #{colour}", [sheet], same.map(&:uuid),
                     [both_right('Seen on the machine: both have it'), *repaint(same)],
                     "#{plug.id} has #{colour} twice on side #{half}: wires #{same.map(&:number).join(' and ')}")
          end
        end

        def repaint(wires)
          wires.map { |wire| Option.new(label: "Wire #{wire.number} has another colour", overrides: { wire.uuid => { 'colour' => nil } }) }
        end

        def drawn
          @drawn ||= @sheets.flat_map do |sheet|
            sheet.parts.map { |part| [part.id, part.label, part.fields['ways'], sheet, part.uuid] } +
              sheet.redrawn.map { |one| [one.id, one.label, one.ways, sheet, sheet.part(one.id).uuid] }
          end.group_by(&:first)
        end

        def two_names
          drawn.filter_map do |id, drawings|
            names = drawings.filter_map { |drawing| drawing[1] }.uniq { |name| name.downcase.squeeze(' ') }
            next if names.size < 2

            conflict('two_names', id, drawings.map { |drawing| drawing[3] }.uniq, drawings.map(&:last).uniq,
                     names.map { |name| Option.new(label: "It is \"#{name}\"", overrides: {}) }, "#{id} has two names: #{names.join(' and ')}")
          end
        end

        def two_sizes
          drawn.filter_map do |id, drawings|
            sizes = drawings.filter_map { |drawing| drawing[2] }.uniq
            next if sizes.size < 2

            conflict('two_sizes', id, drawings.map { |drawing| drawing[3] }.uniq, drawings.map(&:last).uniq,
                     sizes.map { |ways| both_right("It has #{ways} ways") }, "#{id} has #{sizes.join(' and ')} ways")
          end
        end

        # One part at the same places of two sheets is one part: it cannot have two resistances.
        def drawn_otherwise
          @differences.flat_map do |one|
            one.said.map do |field, said|
              options = said.map { |value| both_are(one.uuids, field, value) }
              sheets = @sheets.select { |sheet| (sheet.parts.map(&:uuid) + sheet.wires.map(&:uuid)).intersect?(one.uuids) }
              conflict('drawn_otherwise', "#{one.what} #{field} #{one.sheets.first}", sheets, one.uuids, options,
                       "#{one.what} is #{said.map { |value| spoken(field, value) }.join(' on one sheet and ')} on another")
            end
          end
        end

        def both_are(uuids, field, value)
          Option.new(label: "It is #{spoken(field, value)}", overrides: uuids.to_h { |uuid| [uuid, { field => value }] })
        end

        def spoken(field, value)
          return Quantities::Figure.ohm(value) if field.end_with?('ohm') && value.is_a?(Numeric)

          "#{field.tr('_', ' ')} #{value.is_a?(Array) ? value.join(', ') : value}"
        end

        def conflict(kind, what, sheets, items, options, words)
          Conflict.new(key: "#{kind}: #{what}", kind: kind, words: words, items: items, sheets: sheets.map(&:key), options: options)
        end
      end
    end
  end
end
