# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # One wire or net followed pin by pin: through plugs, splices and studs, up to the components at its ends, and on to other
      # sheets where it goes on there.
      class Trace
        # What a net does to somebody: reads it or works on it.
        LISTEN = %w[listens loads].freeze
        # One wire of the net with what it lies between.
        Run = Struct.new(:wire, :from, :to, keyword_init: true)
        # One end: node, component label, what it does there (feeds, listens, loads, switches, grounds), words.
        End = Struct.new(:node, :part, :role, :words, keyword_init: true)
        # wires in walking order, joints: plugs, splices and studs passed, ends, links to other sheets, length.
        Result = Struct.new(:runs, :joints, :ends, :links, keyword_init: true) do
          # @return [Array<End>] what reads the net or works on it
          def listeners = ends.select { |one| LISTEN.include?(one.role) }

          # @return [Float] metres of wire
          def length_m = runs.sum { |run| run.wire.length_m.to_f }
        end
        PASSED = [Parts::Connector, Parts::Joint].freeze
        FEEDS = %w[battery alternator fuse fusible_link].freeze
        COIL_PINS = %w[85 86].freeze
        STEPS_A_PIN = 10
        private_constant :PASSED, :FEEDS, :COIL_PINS, :STEPS_A_PIN

        # @param sheet [Sheet]
        def initialize(sheet)
          @sheet = sheet
          @at = Hash.new { |hash, node| hash[node] = [] }
          sheet.wires.each do |wire|
            @at[wire.from] << wire
            @at[wire.to] << wire
          end
        end

        # @param number [String]
        # @return [Result]
        # @raise [UnknownKeyError]
        def wire(number)
          wire = @sheet.wire(number) or raise UnknownKeyError, "sheet #{@sheet.key} has no wire #{number}"
          walk(wire.from)
        end

        # @param node [String] a pin
        # @return [Result]
        # @raise [UnknownKeyError]
        def pin(node)
          walk(@sheet.node_of(node))
        end

        private

        def walk(start)
          seen = { start => true }
          waiting = [start]
          runs = []
          walked = {}.compare_by_identity
          until waiting.empty?
            Effort.spend!(STEPS_A_PIN)
            node = waiting.shift
            fresh = @at[node].uniq.reject { |wire| walked[wire] }
            fresh.each do |wire|
              walked[wire] = true
              runs << Run.new(wire: wire, from: node, to: other_end(wire, node))
            end
            (fresh.map { |wire| other_end(wire, node) } + through(node)).each do |following|
              next if seen[following]

              seen[following] = true
              waiting << following
            end
          end
          result(runs, seen.keys)
        end

        def other_end(wire, node) = wire.from == node ? wire.to : wire.from
        def part_at(node) = @sheet.part(node.split(':', 2).first)

        # The other half of a plug; the rings of a joint are one node already.
        def through(node)
          part = part_at(node)
          return [] unless part.is_a?(Parts::Connector)

          half, pin = node.split(':', 2).last.split('/', 2)
          [part.node("#{half == 'a' ? 'b' : 'a'}/#{pin}")]
        end

        def result(runs, nodes)
          joints, ends = nodes.partition { |node| PASSED.include?(part_at(node).class) && !part_at(node).fields['body'] }
          Result.new(runs: runs, joints: joints, ends: ends.map { |node| end_at(node) },
                     links: @sheet.links.select { |link| nodes.include?(link.from) })
        end

        def end_at(node)
          part = part_at(node)
          return End.new(node: node, part: nil, role: 'hangs', words: 'pin without its connector: to be ruled') if part.nil?

          role, words = role_of(part, node.split(':', 2).last)
          End.new(node: node, part: part, role: role, words: words)
        end

        def role_of(part, pin)
          case part
          when Parts::ControlUnit then control_unit_role(part, pin)
          when Parts::Load then ['loads', part.label]
          when Parts::Relay then COIL_PINS.include?(pin) ? %w[loads coil] : ['switches', "contact #{pin}"]
          when Parts::Switch then ['switches', part.label]
          when Parts::Sensor then ['feeds', "#{part.label}, #{pin}"]
          when Parts::Body, Parts::Joint then ['grounds', part.label]
          else FEEDS.include?(part.kind) ? ['feeds', part.label] : ['loads', part.label]
          end
        end

        CONTROL_UNIT_ROLES = { 'supply' => 'loads', 'ground' => 'grounds', 'return' => 'grounds', 'reference' => 'feeds', 'high_side' => 'feeds',
                               'low_side' => 'switches', 'input' => 'listens', 'signal' => 'listens' }.freeze
        private_constant :CONTROL_UNIT_ROLES

        def control_unit_role(part, pin)
          role = part.role(pin)
          [CONTROL_UNIT_ROLES.fetch(role), role.tr('_', ' ')]
        end
      end
    end
  end
end
