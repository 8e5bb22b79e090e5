# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Reads the components of a sheet and objects to what no such component has.
      class PartReader
        # @param document [LocatedYaml]
        # @param system_volt [Integer]
        # @param states [Hash{String => String}]
        # @param zones [Hash]
        # @param key [String] of the sheet
        # @param earlier [Sheet, nil]
        def initialize(document, system_volt:, states:, zones:, key:, earlier:)
          @document = document
          @system_volt = system_volt
          @states = states
          @zones = zones
          @key = key
          @earlier = earlier
          @problems = []
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
          @document.content['components'].each_with_index { |fields, index| fit?(fields, ['components', index]) }
          @problems
        end

        # @return [Array(Array<Part>, Array<Sheet::Redrawn>, Array<Problem>, Array<String>)] the last: ids that were drawn but not read
        def read
          rows = @document.content['components']
          unless rows.is_a?(Array)
            wrong(['components'], 'components are a list', 'Write "- { id: F1, kind: fuse }"')
            return [[], [], @problems, []]
          end

          parts = {}
          rows.each_with_index do |fields, index|
            path = ['components', index]
            next unless fit?(fields, path)

            drawn_before = parts[fields['id'].to_s]
            drawn_before ? redraw(drawn_before, fields) : parts[fields['id'].to_s] = build(fields)
          end
          parts.each_value { |part| check_body(part, parts) }
          drawn = rows.filter_map { |fields| fields['id'].to_s if fields.is_a?(Hash) }
          [parts.values, @redrawn, @problems, drawn - parts.keys]
        end

        private

        def wrong(path, message, way_out)
          @problems << @document.problem(path, message, way_out)
          false
        end

        # What fits is built; every objection is noted.
        def fit?(fields, path)
          return wrong(path, 'a component is a set of named fields', 'Write "{ id: F1, kind: fuse, rating_ampere: 10 }"') unless fields.is_a?(Hash)
          return wrong(path, 'a component has an id', 'Give it the name on the drawing, as in "id: K1"') if fields['id'].to_s.empty?
          unless PartKinds.all.include?(fields['kind'])
            return wrong([*path, 'kind'], "#{fields['id']} is a \"#{fields['kind']}\", which is no kind of component",
                         "Kinds are #{PartKinds.all.join(', ')}")
          end

          fields_fit?(fields, PartKinds.fields(fields['kind']), path)
        end

        def fields_fit?(fields, known, path)
          Deadline.check!
          id = fields['id']
          before = @problems.size
          (fields.keys - known.keys).each do |name|
            wrong([*path, name], "#{fields['kind']} #{id} has no \"#{name}\"", "It may have #{known.keys.join(', ')}")
          end
          known.select { |name, rule| rule['required'] && fields[name].nil? }.each_key do |name|
            wrong(path, "#{fields['kind']} #{id} has no #{name}", "Add \"#{name}:\"")
          end
          known.each { |name, rule| check_value(fields[name], rule, [*path, name], "#{id} #{name}") unless fields[name].nil? }
          check_zone(fields, path)
          @problems.size == before
        end

        def check_value(value, rule, path, name)
          case rule['type']
          when 'number' then check_number(value, rule, path, name)
          when 'states' then check_states(value, path, name)
          when 'list' then value.is_a?(Array) || wrong(path, "#{name} is a list", 'Write it in square brackets')
          when 'map' then value.is_a?(Hash) || wrong(path, "#{name} has names and values", 'Write "{ 1: 86, 2: 85 }"')
          when 'yes_no' then [true, false].include?(value) || wrong(path, "#{name} is true or false, got #{value}", 'Write true or false')
          when 'one_of' then rule['words'].include?(value) || wrong(path, "#{name} is #{rule['words'].join(', ')}, got #{value}", 'Choose one')
          end
        end

        def check_number(value, rule, path, name)
          return wrong(path, "#{name} is a number, got \"#{value}\"", 'Write digits, as in 12.6') unless value.is_a?(Numeric)
          return if value.between?(rule['least'], rule['most'])

          wrong(path, "#{name} is #{rule['least']} to #{rule['most']}, got #{value}", 'Look at the unit in its name')
        end

        def check_states(value, path, name)
          odd = Array(value).map(&:to_s) - @states.keys
          return if value.is_a?(Array) && odd.empty?

          wrong(path, "#{name} names key states; #{odd.first || value} is none", "States here: #{@states.keys.join(', ')}")
        end

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

        def redraw(part, fields)
          @redrawn << Sheet::Redrawn.new(id: part.id, label: fields['label'], ways: fields['ways'])
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
