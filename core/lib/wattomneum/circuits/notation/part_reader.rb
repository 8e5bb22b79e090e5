# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Reads the components of a sheet and objects to what no such component has.
      class PartReader
        # In what two drawings of one plug may differ.
        DRAWN_ANEW = %w[label ways uuid note].freeze
        private_constant :DRAWN_ANEW

        # @param document [LocatedYaml]
        # @param system_volt [Integer]
        # @param states [Hash{String => String}]
        # @param zones [Hash]
        # @param key [String] of the sheet
        # @param earlier [Sheet, nil]
        def initialize(document, system_volt:, states:, zones:, key:, earlier:)
          @document = document
          @system_volt = system_volt
          @zones = zones
          @key = key
          @earlier = earlier
          @check = FieldCheck.new(document, states: states.keys)
          @redrawn = []
        end

        # @param fields [Hash{String => Object}] of one component
        # @param sheet [Sheet] that it stands on
        # @return [Array<Problem>] what no such component has
        def self.problems_of(fields, sheet)
          document = LocatedYaml.new(Psych.dump('components' => [fields]))
          return document.problems if document.problems.any?

          reader = new(document, system_volt: sheet.system_volt, states: sheet.states, zones: sheet.zones, key: sheet.key, earlier: nil)
          reader.problems_alone
        end

        # @return [Array<Problem>] of components that are looked at one by one
        def problems_alone
          @document.content['components'].each_with_index { |fields, index| part_of(fields, ['components', index]) }
          problems
        end

        # @return [Array(Array<Part>, Array<Sheet::Redrawn>, Array<Problem>, Array<String>)] the last: ids that were drawn but not read
        def read
          rows = @document.content['components']
          unless rows.is_a?(Array)
            wrong(['components'], 'components are a list', 'Write "- { id: F1, kind: fuse }"')
            return [[], [], problems, []]
          end

          parts = {}
          rows.each_with_index do |fields, index|
            part = part_of(fields, ['components', index]) or next
            parts[part.id] ? redraw(parts[part.id], part, ['components', index]) : parts[part.id] = part
          end
          parts.each_value { |part| check_body(part, parts) }
          drawn = rows.filter_map { |fields| fields['id'].to_s if fields.is_a?(Hash) }
          [parts.values, @redrawn, problems, drawn - parts.keys]
        end

        private

        def problems = @check.problems
        def wrong(...) = @check.wrong(...)

        # What fits is built; every objection is noted.
        def part_of(fields, path)
          return wrong(path, 'a component is a set of named fields', 'Write "{ id: F1, kind: fuse, rating_ampere: 10 }"') unless fields.is_a?(Hash)
          return wrong(path, 'a component has an id', 'Give it the name on the drawing, as in "id: K1"') if fields['id'].to_s.empty?
          if fields['id'].to_s.include?(':')
            return wrong([*path, 'id'], "\"#{fields['id']}\" separates its pins by a colon",
                         'Give it an id without ":"')
          end
          return no_kind(fields, path) unless PartKinds.all.include?(fields['kind'])

          fitting(fields, path)
        end

        def no_kind(fields, path)
          words = fields['kind'].nil? ? 'has no kind' : "is a \"#{fields['kind']}\", which is no kind of component"
          wrong(fields['kind'].nil? ? path : [*path, 'kind'], "#{fields['id']} #{words}", "Kinds are #{PartKinds.all.join(', ')}")
        end

        def fitting(fields, path)
          before = problems.size
          owner = "#{fields['kind'].tr('_', ' ')} #{fields['id']}"
          clean = @check.read(fields, PartKinds.fields(fields['kind']), path, owner)
          lacking = PartKinds.lacking(fields)
          wrong(path, "#{owner} has no #{lacking.join(' and no ')}", "Add \"#{lacking.first}:\"") if lacking.any?
          check_zone(fields, path)
          return if clean.nil? || problems.size > before

          part = build(clean)
          part if pins_fit?(part, path, owner) && face_fits?(part, path, owner)
        end

        # A face has every way once, and says from which side it is seen: nobody guesses.
        def face_fits?(part, path, owner)
          rows = part.fields['face'] or return true
          if part.fields['face_view'].nil?
            wrong(path, "#{owner} has a face, but not from which side", 'Add "face_view: wire" or "face_view: mating"')
            return false
          end
          drawn = ConnectorFace.rows_of(rows).flatten - [ConnectorFace::EMPTY]
          return true if drawn.sort == part.names.sort

          odd = (drawn - part.names).first || part.names.find { |name| drawn.count(name) != 1 }
          wrong([*path, 'face'], "#{owner} has #{part.names.include?(odd) ? "way #{odd} #{drawn.count(odd)} times" : "no way #{odd}"} in its face",
                'Write each way once, rows as seen: face: ["1 2 3", "4 . 5"]')
          false
        end

        # What one pin says of another: an alias, a pull-up, what a driver needs. And no pin twice.
        def pins_fit?(part, path, owner)
          twice = part.pins.find { |pin| part.pins.count(pin) > 1 }
          wrong([*path, 'pins'], "#{owner} has pin #{twice} twice", 'Two pins need two names') if twice
          named = (part.fields['aliases'] || {}).values + rows_of(part).flat_map { |row| [*row['needs'], *row['pull_up_to']] }
          missing = named.map(&:to_s).find { |pin| !part.pins.include?(pin) }
          wrong(path, "#{owner} has no pin #{missing}, which it names itself", "Pins of #{part.id}: #{part.pins.first(24).join(', ')}") if missing
          twice.nil? && missing.nil?
        end

        def rows_of(part) = (part.fields['pins'] || []).grep(Hash)

        def check_zone(fields, path)
          zone = fields['zone'] or return
          return if @zones.empty? || @zones.key?(zone)

          wrong([*path, 'zone'], "#{fields['id']} lies in zone #{zone}, which the sheet does not name", "Zones here: #{@zones.keys.join(', ')}")
        end

        def check_body(part, parts)
          body = part.fields['body'] or return
          return if parts[body].is_a?(Parts::Body)

          index = @document.content['components'].index { |fields| fields['id'].to_s == part.id }
          wrong(['components', index, 'body'], "ground #{part.id} stands on #{body}, which is no body of this sheet",
                'Add "{ id: FRAME, kind: body }"')
        end

        # A plug is drawn wherever wires go through it, and its drawings may contradict each other: that is asked about. Anything else stands once.
        def redraw(part, again, path)
          odd = (part.fields.keys | again.fields.keys).any? { |name| !DRAWN_ANEW.include?(name) && part.fields[name] != again.fields[name] }
          return @redrawn << Sheet::Redrawn.new(id: part.id, label: again.fields['label'], ways: again.fields['ways']) if
            part.is_a?(Parts::Connector) && !odd

          kinds = [part, again].map { |one| one.kind.tr('_', ' ') }.uniq
          wrong([*path, 'id'], "#{part.id} stands here twice#{", as #{kinds.join(' and ')}" if kinds.size > 1}",
                "Two components need two ids: #{part.id}a, #{part.id}b")
        end

        def build(fields)
          id = fields['id'].to_s
          uuid = fields['uuid'] || @earlier&.part(id)&.uuid || Sheet.first_uuid(@key, 'part', id)
          PartKinds.build(fields, uuid: uuid, system_volt: @system_volt)
        end
      end
    end
  end
end
