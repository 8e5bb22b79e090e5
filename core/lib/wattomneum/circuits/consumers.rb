# frozen_string_literal: true

module Wattomneum
  module Circuits
    # The consumers of a circuit.
    class Consumers
      # @param machine [Machine]
      def initialize(machine)
        @machine = machine
        @circuit = machine.circuit
      end

      # @return [Array<Consumer>]
      def all = @all ||= @machine.sheet.parts.flat_map { |part| of(part) }.freeze

      # @param part [Part]
      # @return [Array<Consumer>]
      def of(part) = (@of ||= {})[part.id] ||= inside_of(part).freeze

      # @param part [Part, nil] nil for a whole loop, which is no consumer
      # @return [Array<Consumer>] the ones that have to be right for it to work: of a control unit every supply and every ground once
      def needed(part)
        return [] if part.nil?

        (@needed ||= {})[part.id] ||= (part.is_a?(Parts::ControlUnit) ? pinwise(part) : of(part)).freeze
      end

      # @param one [String] node
      # @param other [String] node
      # @return [Consumer, nil] whichever way round they are named
      def across(one, other) = (@across ||= all.to_h { |consumer| [[consumer.from, consumer.to].sort, consumer] })[[one, other].sort]

      # @param consumer [Consumer]
      # @param key_state [String]
      # @return [Float] volts across it in the sound circuit; 0 where nothing leads there
      def volt(consumer, key_state)
        solution = @machine.settled.fetch(key_state).solution
        from, to = [consumer.from, consumer.to].map { |node| @circuit.node(node) }
        solution.connected?(from, to) ? solution.volt(from) - solution.volt(to) : 0.0
      end

      # @param consumer [Consumer]
      # @return [Float] the most that it has in any state: at work
      def volt_at_work(consumer)
        @at_work ||= {}
        @at_work[consumer.key] ||= @machine.sheet.states.keys.map { |key| volt(consumer, key).abs }.max
      end

      # @param consumer [Consumer]
      # @param key_state [String]
      # @return [Boolean] whether it is off in this state by its circuit, and at other times has its volts
      def uncalled?(consumer, key_state) = volt(consumer, key_state).abs < UNCALLED_VOLT && volt_at_work(consumer) > UNCALLED_VOLT

      UNCALLED_VOLT = 1.0
      private_constant :UNCALLED_VOLT

      private

      def inside_of(part)
        case part
        when Parts::Load then [consumer(part, part.id, part.label, part.pins.first, part.pins.last)]
        when Parts::Relay then [consumer(part, part.id, "coil of #{part.label}", '86', '85')]
        when Parts::Alternator then part.fields['field'] ? [consumer(part, "#{part.id} field", "field of #{part.label}", *part.field_pins)] : []
        when Parts::ControlUnit then [*pins(part, 'supply'), *pins(part, 'input')].product(pins(part, 'ground')).map { |pair| inside(part, *pair) }
        else []
        end
      end

      def pinwise(part)
        ground = pins(part, 'ground')
        fed = [*pins(part, 'supply'), *pins(part, 'input')].map { |pin| inside(part, pin, ground.first) }
        fed + ground.drop(1).map { |pin| inside(part, pins(part, 'supply').first, pin) }
      end

      def pins(part, role) = part.pins.select { |pin| part.role(pin) == role }
      def inside(part, supply, ground) = consumer(part, "#{part.id} #{supply} #{ground}", part.label, supply, ground)

      def consumer(part, key, label, from, to)
        index = @circuit.inside(part).first
        Consumer.new(key: key, unit: @machine.repair_units.of(index).key, label: label, from: part.node(from), to: part.node(to))
      end
    end
  end
end
