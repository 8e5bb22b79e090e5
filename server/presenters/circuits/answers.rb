# frozen_string_literal: true

module Server
  module Presenters
    module Circuits
      # Answers of a machine: a pin, a wire, an opening, what stays live, a common cause.
      class Answers
        # @param machine [Wattomneum::Circuits::Machine]
        def initialize(machine)
          @machine = machine
        end

        # @param drawn [String] a pin by whatever name it goes
        # @param state [String]
        def pin(drawn, state)
          pin = @machine.sheet.node_of(drawn)
          paths = @machine.paths(state)
          part = @machine.sheet.part(pin.split(':', 2).first)
          { pin: pin, label: part.label, kind: part.kind.tr('_', ' '), state: state, role: role(part, pin), meter_ohm: @machine.pin_reading.meter_ohm,
            expected: expected(pin), to_supply: path(paths.to_supply(pin)), to_ground: path(paths.to_ground(pin)), net: net(@machine.trace.pin(pin)) }
        end

        # @param number [String]
        def wire(number)
          wire = @machine.sheet.wire(number) or raise Wattomneum::UnknownKeyError, "sheet #{@machine.sheet.key} has no wire #{number}"
          { number: wire.number, colour: wire.colour, size: wire.size, from: wire.from, to: wire.to, net: net(@machine.trace.wire(number)) }
        end

        # @param drawn [String] a pin on the signal
        def signal(drawn)
          found = Wattomneum::Circuits::Questions::TapOrCut.new(@machine.sheet, @machine.sheet.node_of(drawn))
          { advice: found.advice, words: found.words, sources: found.sources.map { |one| "#{one.part.id} #{one.part.label}" },
            listeners: found.listeners.map { |one| listener(one) } }
        end

        # @param key [String] of an item
        def opening(key)
          item = @machine.circuit.item(key)
          effects = @machine.blast.of(item).map do |effect|
            { key: effect.watch.key, label: effect.watch.label, kind: effect.watch.kind, state: effect.key_state, change: effect.change.to_s,
              before_volt: effect.before_volt, after_volt: effect.after_volt }
          end
          { item: key, label: item.label, effects: effects }
        end

        # @param key [String, nil]
        # @param state [String]
        def live(key, state)
          terminals = @machine.live_with(key, key_state: state).map do |live|
            { pin: live.pin, label: live.part.label, volt: live.volt, by: live.path.steps.map(&:item).uniq }
          end
          { item: key, state: state, terminals: terminals }
        end

        # @param said [Array<Wattomneum::Circuits::Questions::CommonCause::Said>]
        def common_cause(said) = Causes.new(@machine).call(said)

        private

        def listener(one)
          { part: "#{one.part.id} #{one.part.label}", pin: one.node, guards: one.guards, own_wires: one.own_wires }
        end

        # What a control unit does at the pin: "low side, after 0.1 s".
        def role(part, pin)
          return unless part.is_a?(Wattomneum::Circuits::Parts::ControlUnit)

          name = pin.split(':', 2).last
          [part.role(name)&.tr('_', ' '), part.timing(name)].compact.join(', ')
        end

        def expected(pin)
          @machine.pin_reading.at(pin).map do |one|
            one.to_h.merge(label: @machine.sheet.states.fetch(one.key_state), unloaded_floating: one.unloaded_floating)
          end
        end

        def path(path)
          { complete: path.complete, ends_at: path.ends_at, steps: path.steps.map(&:to_h) }
        end

        def net(trace)
          { length_m: trace.length_m, joints: trace.joints, links: trace.links.map(&:to_h),
            runs: trace.runs.map { |run| run_row(run) },
            ends: trace.ends.map { |one| { node: one.node, label: one.part&.label, role: one.role, words: one.words } } }
        end

        def run_row(run)
          { number: run.wire.number, from: run.from, to: run.to, colour: run.wire.colour, size: run.wire.size, length_m: run.wire.length_m,
            zone: run.wire.zone }
        end
      end
    end
  end
end
