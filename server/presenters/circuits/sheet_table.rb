# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # A sheet as a table: every pin with its volts in every key state, every wire with its current, what works.
      class SheetTable
        # @param machine [Wattomneum::Circuits::Machine]
        # @param head [Hash] as SheetLine makes it, with the unit
        def self.call(machine, head) = new(machine).call.merge(head)

        # @param machine [Wattomneum::Circuits::Machine]
        def initialize(machine)
          @machine = machine
          @sheet = machine.sheet
          @results = machine.settled.all
        rescue Wattomneum::OverBudgetError => e
          # Stored before the budgets were as they are: readable all the same, without figures.
          @results = {}
          @over_budget = e.message
        end

        def call
          { over_budget: @over_budget, states: states, note: @sheet.note, reference: @sheet.reference, parts: parts, wires: wires, watches: watches,
            zones: @sheet.zones.map { |key, zone| { key: key, label: zone['label'] || key, exposure: zone['exposure'] || [] } },
            links: @sheet.links.map(&:to_h), stops: @sheet.stops.size, shorts: @over_budget ? [] : @machine.shorts.map(&:to_s) }
        end

        private

        def circuit = @machine.circuit

        def states
          @sheet.states.map do |key, label|
            result = @results[key]
            { key: key, label: label, chattering: result ? result.chattering : [], uncertain: result ? result.uncertain : [],
              blown: result ? result.blown.map { |fuse, ampere| { fuse: fuse, ampere: ampere } } : [] }
          end
        end

        def parts
          @sheet.parts.map do |part|
            { id: part.id, uuid: part.uuid, kind: part.kind.tr('_', ' '), label: part.label, zone: part.zone,
              note: part.fields['note'], pins: part.pins.map { |pin| pin_row(part, pin) } }
          end
        end

        def pin_row(part, pin)
          node = part.node(pin)
          { node: node, name: part.joint? || pin == 'metal' ? part.id : pin, wires: wires_at[node] || [], volts: volts(node),
            stands: stands { |state| state.of(node) } }
        end

        # null where nothing leads there.
        def volts(name)
          return unknown if @over_budget

          node = circuit.node(name)
          @results.values.map { |result| result.solution.floating?(node) ? nil : result.solution.volt(node).round(4) }
        end

        # live, low, ground or open in each key state; null where nothing is worked out.
        def stands(&)
          return unknown if @over_budget

          @pin_states ||= @results.values.map { |result| Wattomneum::Circuits::Questions::PinState.new(circuit, result.solution) }
          @pin_states.map(&)
        end

        def wires_at
          @wires_at ||= @sheet.wires.each_with_object(Hash.new { |hash, node| hash[node] = [] }) do |wire, at|
            at[wire.from] << wire.number
            at[wire.to] << wire.number
          end
        end

        def wires
          @sheet.wires.map do |wire|
            { number: wire.number, uuid: wire.uuid, from: wire.from, to: wire.to, colour: wire.colour, size: wire.size,
              length_m: wire.length_m, zone: wire.zone, shielded: wire.shielded, twisted_with: wire.twisted_with,
              resistance_ohm: wire.resistance_ohm, amperes: amperes(wire), stands: stands { |state| state.of_wire(wire) } }
          end
        end

        def amperes(wire)
          return unknown if @over_budget

          index = circuit.item("wire #{wire.number}").branches.first
          @results.values.map { |result| result.solution.current(index).round(4) }
        end

        def unknown = @sheet.states.map { nil }

        def watches
          return [] if @over_budget

          workings = Wattomneum::Circuits::Questions::Workings.new(@machine.settled)
          circuit.watches.map do |watch|
            { key: watch.key, label: watch.label, kind: watch.kind, codes: watch.codes,
              works: @sheet.states.keys.map { |state| watch.signal? ? nil : workings.works?(watch, state) } }
          end
        end
      end
    end
  end
end
