# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Notation
      # Turns a sheet as people write it (YAML, with the wires in it or in a CSV beside it) into a Sheet, or into a list of what is
      # wrong with it. Nothing is half read: either there is a sheet, or there are problems with line and column.
      class SheetReader
        # sheet is nil where there are problems.
        Result = Struct.new(:sheet, :problems, keyword_init: true)
        COIL_PINS = %w[86 85].freeze
        VOLTS = Units::ElectricalSystem::SYSTEM_VOLTS
        TOP = %w[sheet title system_volt states reference zones places loops stops components wires links note].freeze
        LINK = %w[from sheet at note].freeze
        KEY = /\A[a-z0-9][a-z0-9_]{0,60}\z/
        ZONE = { 'label' => { 'type' => 'text' }, 'exposure' => { 'type' => 'names' } }.freeze
        LOOP = { 'key' => { 'type' => 'one_of', 'words' => %w[start charge], 'required' => true },
                 'load' => { 'type' => 'text', 'required' => true }, 'state' => { 'type' => 'text', 'required' => true } }.freeze
        STOP = { 'device' => { 'type' => 'text', 'required' => true }, 'label' => { 'type' => 'text' },
                 'runs' => { 'type' => 'one_of', 'words' => %w[held released], 'required' => true }, 'running' => { 'type' => 'text' },
                 'asked_in' => { 'type' => 'states' }, 'pressed' => { 'type' => 'names' }, 'stud' => { 'type' => 'text' },
                 'hose' => { 'type' => 'text' },
                 'hose_lost' => { 'type' => 'one_of', 'words' => %w[stops runs_on] } }.freeze
        RUNNING = 'running'
        private_constant :TOP, :LINK, :COIL_PINS, :KEY, :ZONE, :LOOP, :STOP, :RUNNING

        # @param yaml [String]
        # @param wires_csv [String, nil] the wire list; then the YAML needs none
        # @param earlier [Sheet, nil] the version before: items that kept their number or id keep their UUID
        # @param written_now [Boolean] whether somebody writes it now: what was kept before stays readable with words that nobody looked up
        # @return [Result]
        def self.read(yaml, wires_csv: nil, earlier: nil, written_now: false) = new(yaml, wires_csv, earlier, written_now).read

        def initialize(yaml, wires_csv, earlier, written_now)
          @document = LocatedYaml.new(yaml)
          @wires_csv = wires_csv
          @earlier = earlier
          @written_now = written_now
          @problems = @document.problems.dup
        end

        # @return [Result]
        def read
          return refused unless @problems.empty? && top?

          read_head
          read_parts
          read_wires
          check_reference
          check_links
          check_places
          return refused if @problems.any?

          Result.new(sheet: sheet, problems: [])
        end

        private

        def content = @document.content
        def refused = Result.new(sheet: nil, problems: @problems.sort_by { |problem| [problem.line, problem.column] })

        def wrong(path, message, way_out)
          @problems << @document.problem(path, message, way_out)
          nil
        end

        def top?
          return wrong([], 'a sheet is a list of named things', 'Begin with "sheet: start_12v"') unless content.is_a?(Hash)

          (content.keys - TOP).each { |key| wrong([key], "a sheet has no \"#{key}\"", "It may have #{TOP.join(', ')}") }
          %w[sheet title system_volt components].each do |key|
            wrong([], "the sheet has no #{key}", "Write \"#{key}:\" at the top") if content[key].nil?
          end
          @problems.empty?
        end

        def read_head
          volts = VOLTS.join(', ')
          wrong(['system_volt'], "system_volt is one of #{volts}, got #{system_volt}", "Write one of #{volts}") unless VOLTS.include?(system_volt)
          @states = read_states
          @zones = content['zones'] || {}
          check_words
          check_zones
        end

        # What is printed is text; what is looked up is a plain name.
        def check_words
          %w[sheet title note reference].each do |name|
            value = content[name]
            wrong([name], "#{name} is text", 'Write it in one line, in quotes where it holds signs') if value.is_a?(Hash) || value.is_a?(Array)
          end
          return if content['sheet'].to_s.match?(KEY)

          wrong(['sheet'], "\"#{content['sheet']}\" is no key of a sheet", 'Write small letters, digits and _, as in "sheet: start_12v"')
        end

        def check_zones
          unless @zones.is_a?(Hash)
            return wrong(['zones'], 'zones are named, each with a label',
                         'Write "zones: { frame_left: { label: Left rail } }"')
          end

          check = FieldCheck.new(@document, states: [])
          @zones.each do |key, fields|
            next wrong(['zones', key], "zone #{key} has a label", 'Write "{ label: Left rail, exposure: [wet] }"') unless fields.is_a?(Hash)

            clean = check.read(fields, ZONE, ['zones', key], "zone #{key}")
            odd = ((clean || {})['exposure'] || []).map(&:to_s) - Sheet::EXPOSURES
            wrong(['zones', key, 'exposure'], "zone #{key} is exposed to #{odd.first}", "Exposures are #{Sheet::EXPOSURES.join(', ')}") if odd.any?
          end
          @problems.concat(check.problems)
        end

        def system_volt = content['system_volt']

        def read_states
          states = content['states']
          return Sheet::STATES if states.nil?
          return states.transform_values(&:to_s) if states.is_a?(Hash) && states.any? && states.each_value.none?(Enumerable)

          wrong(['states'], 'states are named in the order they are gone through', 'Write "states: { off: Off, key_on: Key on }"')
          Sheet::STATES
        end

        def read_parts
          reader = PartReader.new(@document, system_volt: system_volt, states: @states, zones: @zones, key: content['sheet'].to_s,
                                             earlier: @earlier)
          @parts, @redrawn, problems, @unread = reader.read
          @problems.concat(problems)
        end

        def read_wires
          rows = @wires_csv ? csv_rows : yaml_rows
          return if rows.nil?

          reader = WireReader.new(rows, parts: @parts, key: content['sheet'].to_s, zones: @zones, earlier: @earlier, unread: @unread,
                                        written_now: @written_now)
          @wires, @loose_ends, problems = reader.read
          @problems.concat(problems)
          return unless @problems.empty?

          check_relays
          check_uuids
        end

        # An item is known by its UUID through all versions.
        def check_uuids
          items = @parts.map { |part| [part.uuid, part.id] } + @wires.map { |wire| [wire.uuid, "wire #{wire.number}"] }
          items.group_by(&:first).each_value.select { |same| same.size > 1 }.each do |same|
            names = same.map(&:last)
            path = names.last.start_with?('wire ') && @wires_csv.nil? ? wire_path(names.last.delete_prefix('wire ')) : []
            wrong(path, "#{names.join(' and ')} have one UUID", 'Leave it out at the copy, and one is given')
          end
        end

        def wire_path(number) = ['wires', content['wires'].index { |fields| fields['number'].to_s == number }]

        def csv_rows
          list = WireList.parse(@wires_csv)
          @problems.concat(list.problems)
          list.problems.empty? ? list.rows : nil
        end

        def yaml_rows
          wires = content['wires']
          return wrong([], 'the sheet has no wires', 'Write "wires:" or give the wire list as CSV') unless wires.is_a?(Array)

          wires.each_with_index.filter_map do |fields, index|
            unless fields.is_a?(Hash)
              wrong(['wires', index], 'a wire is a set of named fields', 'Write "{ number: 101, from: BAT:+, to: F1:1 }"')
              next
            end
            WireReader::Row.new(fields: fields, place: ->(name) { @document.place(['wires', index, name]) })
          end
        end

        # A relay that nothing can pull in is a mistake of drawing.
        def check_relays
          used = @wires.flat_map { |wire| [wire.from, wire.to] }
          @parts.grep(Parts::Relay).each do |relay|
            missing = COIL_PINS.reject { |pin| used.include?(relay.node(pin)) }
            next if missing.empty?

            wrong(part_path(relay), "relay #{relay.id} has no coil feed: nothing goes to pin #{missing.join(' and ')}",
                  'Draw the wire, or take the relay off the sheet')
          end
        end

        def part_path(part)
          index = content['components'].index { |fields| fields.is_a?(Hash) && fields['id'].to_s == part.id }
          ['components', index]
        end

        def reference = (content['reference'] || 'BAT:-').to_s

        def check_reference
          return if reference.include?(':') ? node_of(reference) : @parts&.any? { |part| part.id == reference }

          wrong(['reference'], "volts are counted from #{reference}, which is not on the sheet", 'Name a pin that is, as in "reference: BAT:-"')
        end

        def check_links
          links = content['links'] || []
          return wrong(['links'], 'links are a list', 'Write "- { from: X1:a/3, sheet: cluster, at: X1:b/3 }"') unless links.is_a?(Array)

          @links = links.each_with_index.filter_map { |fields, index| link(fields, index) }
        end

        def link(fields, index)
          unless fields.is_a?(Hash) && (fields.keys - LINK).empty? && fields['from'] && fields['sheet'] && fields.each_value.none?(Enumerable)
            return wrong(['links', index], 'a link has from, sheet, at and note', 'Write "{ from: X1:a/3, sheet: cluster, at: X1:b/3 }"')
          end

          from = node_of(fields['from'])
          if from.nil?
            return wrong(['links', index, 'from'], "the link leaves from #{fields['from']}, which is not on the sheet", 'Name a pin of this sheet')
          end

          Sheet::Link.new(from: from, sheet: fields['sheet'].to_s, at: fields['at']&.to_s, note: fields['note']&.to_s)
        end

        # The pin's own name, whichever way it is drawn; nil where there is none.
        def node_of(drawn)
          Sheet.node_of(drawn) { |id| @parts&.find { |part| part.id == id } }
        end

        def check_places
          places = content['places'] || {}
          return wrong(['places'], 'places are named, each with a pin', 'Write "places: { positive_post: \"BAT:+\" }"') unless places.is_a?(Hash)

          @places = places.to_h do |key, drawn|
            node = node_of(drawn)
            wrong(['places', key], "place #{key} is #{drawn}, which is not on the sheet", 'Name a pin of this sheet') if node.nil?
            [key.to_s, node]
          end
          check_loops
          check_stops
        end

        def check_loops
          loops = content['loops'] || []
          return wrong(['loops'], 'loops are a list', 'Write "- { key: start, load: M1, state: cranking }"') unless loops.is_a?(Array)

          check = FieldCheck.new(@document, states: [])
          @loops = loops.each_with_index.filter_map { |fields, index| loop_of(check, fields, index) }
          @problems.concat(check.problems)
        end

        def loop_of(check, fields, index)
          unless fields.is_a?(Hash)
            return wrong(['loops', index], 'a loop is a set of named fields',
                         'Write "{ key: start, load: M1, state: cranking }"')
          end

          check.read(fields, LOOP, ['loops', index], 'a loop') or return
          load = @parts&.find { |part| part.id == fields['load'].to_s && part.pins.size >= 2 }
          unless load && @states.key?(fields['state'])
            return wrong(['loops', index], 'a loop names a load and a key state of this sheet', 'Write "{ key: start, load: M1, state: cranking }"')
          end

          Sheet::Loop.new(key: fields['key'], load: load.id, state: fields['state'])
        end

        def check_stops
          stops = content['stops'] || []
          return wrong(['stops'], 'stops are a list', STOP_WAY_OUT) unless stops.is_a?(Array)

          check = FieldCheck.new(@document, states: @states.keys)
          @stops = stops.each_with_index.filter_map { |fields, index| stop(check, fields, index) }
          @problems.concat(check.problems)
        end

        STOP_WAY_OUT = 'Write "- { device: Y5, runs: held, asked_in: [off], pressed: [S5] }"'
        STUD_WAY_OUT = 'Name the stud or splice on which the branches of the kill circuit hang'
        private_constant :STOP_WAY_OUT, :STUD_WAY_OUT

        def stop(check, fields, index)
          path = ['stops', index]
          return wrong(path, 'a stop is a set of named fields', STOP_WAY_OUT) unless fields.is_a?(Hash)

          clean = check.read(fields, STOP, path, 'a stop') or return
          device = part_named(clean['device'])
          return wrong(path, "a stop works by #{clean['device']}, which shows no working on this sheet", 'Name a load or a relay of it') unless
            device&.watches&.any? { |watch| !watch.signal? }

          running = clean['running'] || RUNNING
          return wrong(path, "a stop is tried while the engine runs, and the sheet has no key state #{running}", 'Say which: "running: on"') unless
            @states.key?(running)

          asked(clean, device, running, path)
        end

        def asked(clean, device, running, path)
          asked_in, pressed = %w[asked_in pressed].map { |name| (clean[name] || []).map(&:to_s) }
          odd = pressed.find { |id| !part_named(id).is_a?(Parts::Switch) }
          return wrong(path, "#{odd} is pressed to stop, and is no switch of this sheet", 'Name a switch that opens') if odd
          return wrong(path, 'a stop says how it is asked for', STOP_WAY_OUT) if asked_in.empty? && pressed.empty?

          stud = clean['stud'] && (part_named(clean['stud']) || (return wrong(path, "there is no #{clean['stud']} on this sheet", STUD_WAY_OUT)))

          Sheet::Stop.new(device: device.id, label: clean['label'] || device.label, runs: clean['runs'], running: running, asked_in: asked_in,
                          pressed: pressed, stud: stud&.id, hose: clean['hose'], hose_lost: clean['hose_lost'])
        end

        def part_named(id) = @parts&.find { |part| part.id == id.to_s }

        def sheet
          Sheet.new(key: content['sheet'].to_s, title: content['title'].to_s, system_volt: system_volt, reference: full_reference,
                    parts: @parts, wires: @wires, states: @states, zones: @zones, links: @links, redrawn: @redrawn,
                    loose_ends: @loose_ends, places: @places, loops: @loops, stops: @stops, note: content['note']&.to_s)
        end

        # "FRAME" stands for the metal of a body, as in wires.
        def full_reference
          id, pin = reference.split(':', 2)
          pin ? reference : "#{id}:#{@parts.find { |part| part.id == id }.pins.first}"
        end
      end
    end
  end
end
