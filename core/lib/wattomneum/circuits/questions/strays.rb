# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # What one fault could switch something over in a state in which it should be as the sound circuit has it: a contact that stays
      # closed, a wire that touches a live one, a wire that touches the metal; of what should be on also whatever is cut on its way. And what
      # a meter shows with each of them.
      class Strays
        # kind: stuck, live, grounded or cut; unit: what is mended; parts: ids of the components of which it is; branch: what it adds; cut:
        # branches that it opens
        Cause = Struct.new(:kind, :unit, :parts, :branch, :cut, keyword_init: true)
        # A wire rubbed through has about so much (ours).
        TOUCH_OHM = 0.05
        private_constant :TOUCH_OHM

        # @param machine [Machine] the unit's sound circuit
        # @param consumer [Consumer] that is on when it should be off, or off when it should be on
        # @param state [String] key state of the sheet
        # @param limits [Limits::Table]
        def initialize(machine, consumer, state, limits: Limits::Table.shipped)
          @limits = limits
          @machine = machine
          @circuit = machine.circuit
          @consumer = consumer
          @state = state
          @sound = machine.settled.fetch(state).solution
          @settled = {}
        end

        # @return [Array<Cause>] each of which would do it alone
        def causes = @causes ||= [*stuck, *touching, *cut].reject { |cause| on?(cause) == on?(nil) }

        # @return [Array<Consumer>] coils whose contacts lie on the way
        def coils = @coils ||= region.relays.flat_map { |relay| @machine.consumers.of(relay) }

        # @return [Array<Apart::Thing>] that can be pulled, unplugged or taken off on the way
        def plugs
          @plugs ||= begin
            ids = region.parts.select { |part| PULLED.any? { |kind| part.is_a?(kind) } }.map(&:id)
            @machine.apart.all.select { |thing| Apart.wire?(thing.id) ? on_the_way?(thing) : ids.include?(thing.id) }
          end
        end

        # @return [Array<Apart::Thing>] ends of wires on the way that come out of the pin or splice that they share with others
        def ends = @ends ||= @machine.apart.all.select { |thing| Apart.end?(thing.id) && on_the_way?(thing) }

        # @param from [String] node
        # @param to [String] node
        # @param cause [Cause, nil] nil for the sound circuit
        # @param opened [Array<String>] ids of what is unplugged
        # @return [Float] volts between them; 0 where nothing leads from one to the other
        def volt(from, to, cause:, opened: [])
          solution = cause.nil? && opened.empty? ? @sound : @settled[[cause, opened.sort]] ||= settle(cause, opened)
          one, other = [from, to].map { |node| @circuit.node(node) }
          solution.connected?(one, other) ? solution.volt(one) - solution.volt(other) : 0.0
        end

        PULLED = [Parts::Relay, Parts::Fuse, Parts::Switch, Parts::Connector, Parts::ControlUnit].freeze
        private_constant :PULLED

        private

        def on?(cause) = volt(@consumer.from, @consumer.to, cause: cause).abs > on_share * @machine.consumers.volt_at_work(@consumer)

        # What is stuck comes off with the component that it is in.
        def settle(cause, opened)
          branches = @machine.apart.branches(opened) | (cause&.cut || [])
          extra = cause&.branch && !(cause.kind == 'stuck' && cause.parts.intersect?(opened)) ? [cause.branch] : []
          Solving::SettledStates.new(@circuit, opened: branches, network: @circuit.network_with(extra)).fetch(@state).solution
        end

        def on_the_way?(thing) = (@wires ||= region.wires.map { |index| @circuit.owned[index].wire.uuid }).include?(thing.wire)
        def on_share = @limits.fetch('path.stray_volts_least').value / 100.0
        def region = @region ||= StrayRegion.new(@machine, @consumer, @sound, on: on?(nil))

        def stuck
          region.gates.map do |index|
            branch = @circuit.network.branches[index]
            cause('stuck', index, branch.from, branch.to, ohm: branch.ohm)
          end
        end

        # One of each kind for a run of wire: where along it does not show.
        def touching
          runs = region.wires.group_by { |index| @machine.repair_units.of(index) }.values.map(&:first)
          runs.flat_map do |index|
            node = rubbed_node(index)
            [cause('live', index, node, 0, volt: region.live_volt), cause('grounded', index, node, 0)]
          end
        end

        # At the end that no other wire shares: it goes with its wire, wherever that is taken off.
        def rubbed_node(index)
          @wire_ends ||= @circuit.owned.select(&:wire).flat_map { |one| [one.branch.from, one.branch.to] }.tally
          ends = @circuit.owned[index].branch.then { |one| [one.from, one.to] }.select { |name| region.inside?(@circuit.node(name)) }
          @circuit.node(ends.min_by { |name| @wire_ends.fetch(name) } || @circuit.owned[index].branch.to)
        end

        # What lies in its way, where it should have its volts.
        def cut
          return [] unless on?(nil)

          finder = @machine.paths(@state)
          backs = [@consumer.to, *@machine.sheet.parts.grep(Parts::Battery).map { |source| source.node('-') }]
          steps = [finder.to_supply(@consumer.from), *backs.map { |node| finder.to_ground(node) }].flat_map(&:steps)
          @machine.repair_units.along(steps.map(&:index)).reject { |unit| unit.kind == 'body' }.map do |unit|
            indices = steps.map(&:index).select { |index| @machine.repair_units.of(index) == unit }
            Cause.new(kind: 'cut', unit: unit, parts: [], cut: indices)
          end
        end

        def cause(kind, index, from, to, ohm: TOUCH_OHM, volt: 0.0)
          branch = Solving::Network::Branch.new(from: from, to: to, ohm: ohm, volt: volt)
          Cause.new(kind: kind, unit: @machine.repair_units.of(index), parts: [@circuit.owned[index].part&.id].compact, branch: branch)
        end
      end
    end
  end
end
