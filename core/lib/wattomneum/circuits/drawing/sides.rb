# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Drawing
      # Which pin of a part looks up and which down: current comes in from above and leaves below, as electricians read it. Joints have no side of
      # their own: theirs is told by what lies at the other end of each wire.
      class Sides
        TOP = :top
        BOTTOM = :bottom
        # Pins of parts with more than two that give rather than take.
        SIGNALS = %w[signal S].freeze
        RELAY_TOP = %w[30 86].freeze
        private_constant :SIGNALS, :RELAY_TOP

        # @param sheet [Sheet]
        # @param distances [Distances]
        def initialize(sheet, distances)
          @sheet = sheet
          @distances = distances
          @feeding = distances.feeding_posts
          @satellites = {}
        end

        # @param part [Part] none of joints, connectors and bodies
        # @param pin [String]
        # @return [Symbol] :top or :bottom
        def of(part, pin)
          case part
          when Parts::Battery then pin == '+' && !@feeding.include?(part.node(pin)) ? TOP : BOTTOM
          when Parts::ControlUnit then of_unit(part, pin)
          when Parts::Relay then RELAY_TOP.include?(pin) ? TOP : BOTTOM
          when Parts::Alternator then pin == 'case' ? BOTTOM : TOP
          when Parts::Body, Parts::Joint then TOP
          else of_others(part, pin)
          end
        end

        # @param part [Part]
        # @return [Boolean] whether all that it is wired to is a control unit: it hangs below it, all its pins up
        def satellite?(part)
          @satellites.fetch(part.id) { @satellites[part.id] = [Parts::Sensor, Parts::Load].include?(part.class) && hangs_on_unit?(part) }
        end

        private

        def of_unit(unit, pin)
          role = unit.fields.fetch('pins').find { |one| one['pin'].to_s == pin }&.fetch('role')
          return BOTTOM if role == 'ground' || role == 'high_side' || @distances.from_unit?(unit.node(pin))

          TOP
        end

        def of_others(part, pin)
          return pin == part.fields['contacts'].first['from'].to_s ? TOP : BOTTOM if part.fields['contacts']
          return TOP if satellite?(part)
          return SIGNALS.include?(pin) ? BOTTOM : TOP unless part.pins.size == 2

          nearer?(part, pin) ? TOP : BOTTOM
        end

        def nearer?(part, pin)
          here, there = [pin, (part.pins - [pin]).first].map { |one| @distances.of(part.node(one)) }
          here < there || (here == there && pin == part.pins.first)
        end

        def hangs_on_unit?(part)
          wired = part.pins.map { |pin| part.node(pin) }.select { |node| @distances.ends.any?(node) }
          wired.any? && wired.all? { |node| @distances.from_unit?(node) && leads_to_unit?(node) }
        end

        # Over wires, plugs and splices alone.
        def leads_to_unit?(start)
          seen = [start]
          queue = [start]
          until queue.empty?
            @distances.ends.others(queue.shift).each do |other|
              next if seen.include?(other)
              return true if part(other).is_a?(Parts::ControlUnit)

              seen << other
              queue.concat(through(other))
            end
          end
          false
        end

        def through(node)
          case part(node)
          when Parts::Joint then part(node).fields['body'] ? [] : [node]
          when Parts::Connector then [Drawing.other_half(node)]
          else []
          end
        end

        def part(node) = @sheet.part(node.split(':', 2).first)
      end
    end
  end
end
