# frozen_string_literal: true

module Wattomneum
  module Circuits
    module Questions
      # One way to stop an engine, on its circuit: what each way of asking does, and what becomes of it when any one thing is lost or sticks.
      # Nothing is taken for granted of the drawing: every fault is solved. What turns with the engine, oil pressure, speed and charge, stays as it is
      # until the engine stands: it is asked in the moment in which it still runs.
      class StopTable
        # key; label; state: key state that asks; opened: id of the button that opens, or nil
        Asked = Struct.new(:key, :label, :state, :opened, keyword_init: true)
        # item: key of what fails, or the name of a hose; label; kind: of the item; how: lost, stuck or fed (a wire that touches a live one); running:
        # whether the engine goes on while nobody asks it to stop; stops: key of each way of asking to whether it stops then
        Row = Struct.new(:item, :label, :kind, :how, :running, :stops, keyword_init: true) do
          # @return [Boolean] whether it leaves no way of asking that stops the engine
          def nothing_stops? = running && stops.values.none?
        end
        # fuse: label of what feeds the stop too; others: labels of what else falls dead with it
        Borrowed = Struct.new(:fuse, :others, keyword_init: true)

        # @return [Sheet::Stop]
        attr_reader :stop

        # @param machine [Machine]
        # @param stop [Sheet::Stop] of its sheet
        def initialize(machine, stop)
          @machine = machine
          @stop = stop
          @circuit = machine.circuit
          @watch = @circuit.watches.find { |one| one.key == @stop.device && !one.signal? }
          @turning = Turning.new(@circuit, stop)
          @solved = {}
        end

        # @return [Array<Asked>] in the order of the sheet, buttons last
        def asked
          @asked ||= @stop.asked_in.map { |state| Asked.new(key: state, label: sheet.states.fetch(state), state: state) } +
                     @stop.pressed.map { |id| Asked.new(key: id, label: "#{sheet.part(id).label} pressed", state: @stop.running, opened: id) }
        end

        # @return [Row] of the machine without a fault
        def sound = @sound ||= row(item: nil, label: 'Nothing wrong', kind: nil, how: nil)

        # @return [Array<Row>] every single fault that changes anything, what will not stop first
        def rows
          @rows ||= (lost + stuck + fed + hose).reject { |row| same?(row) }.sort_by.with_index { |row, at| [rank(row), at] }
        end

        # @return [Array<Row>] faults with which one way of asking or more no longer stops an engine that runs
        def will_not_stop = rows.select { |row| row.running && asked.any? { |one| sound.stops.fetch(one.key) && !row.stops.fetch(one.key) } }

        # @return [Array<Borrowed>] fuses that the stop or the run hangs on, and something that would work without what decides
        def borrowed
          needed = rows.select { |row| row.how == 'lost' && sheet.part(row.item).is_a?(Parts::Fuse) }
          needed.filter_map do |row|
            others = others_dead_with(@circuit.item(row.item))
            Borrowed.new(fuse: row.label, others: others) if others.any?
          end
        end

        private

        def sheet = @machine.sheet
        def same?(row) = row.running == sound.running && row.stops == sound.stops

        # Nothing stops it; some way does not; it stops by itself.
        def rank(row)
          return 2 unless row.running

          row.nothing_stops? ? 0 : 1
        end

        # What opens in one run has one effect: solved once, and kept where it is more than is allowed at once.
        def lost
          runs = SeriesRuns.new(@circuit)
          @circuit.items.map do |item|
            found = @solved[runs.of(item.branches)] ||= row(opened: item.branches, item: nil, label: nil, kind: nil, how: nil)
            Row.new(item: item.key, label: spoken(item), kind: item.kind, how: 'lost', running: found.running, stops: found.stops)
          end
        end

        # A contact that is welded or jammed has a wire beside it.
        def stuck
          contacts.map do |part, from, to|
            @solved[[part.id, from, to]] ||= row(beside: [part.node(from), part.node(to)], item: part.id, kind: part.kind, how: 'stuck',
                                                 label: "#{part.id} #{part.label}, #{stuck_words(part, from, to)}")
          end
        end

        # What touches the live side anywhere along one piece of copper has one effect.
        def fed
          live = sheet.places['positive_post'] || sheet.parts.grep(Parts::Battery).find { |part| part.fields['active_in'].nil? }&.node('+')
          return [] if live.nil?

          copper = Copper.new(sheet)
          sheet.wires.reject { |wire| copper.together?(wire.from, live) || copper.together?(wire.from, sheet.reference) }.map do |wire|
            found = @solved[[:fed, copper.of(wire.from)]] ||= row(beside: [wire.from, live], item: nil, label: nil, kind: nil, how: nil)
            Row.new(item: "wire #{wire.number}", label: "Wire #{wire.number}, touching a live one", kind: 'wire', how: 'fed', running: found.running,
                    stops: found.stops)
          end
        end

        def stuck_words(part, from, to)
          return "contact #{from} to #{to} welded" if part.is_a?(Parts::Relay)

          part.branches.one? ? 'stuck closed' : "contact #{from} to #{to} stuck closed"
        end

        TOUCHES_OHM = 0.005
        STEPS_A_LOOK = 5
        private_constant :TOUCHES_OHM, :STEPS_A_LOOK

        def contacts
          sheet.parts.flat_map do |part|
            case part
            when Parts::Relay then [[part, '30', '87']]
            when Parts::Switch then part.branches.map { |branch| [part, *[branch.from, branch.to].map { |node| node.split(':', 2).last }] }
            else []
            end
          end
        end

        # What no circuit shows is as the sheet says it.
        def hose
          return [] if @stop.hose.nil?

          runs_on = @stop.hose_lost == 'runs_on'
          stops = asked.to_h { |one| [one.key, !runs_on] }
          [Row.new(item: @stop.hose, label: @stop.hose, kind: 'hose', how: 'lost', running: runs_on, stops: stops)]
        end

        def row(opened: [], beside: nil, **about)
          settled = settled_with(opened, beside)
          stops = asked.to_h do |one|
            opening = one.opened ? settled.circuit.item(one.opened).branches : []
            [one.key, !runs?(@turning.moved(settled, to: one.state, opening: opening), one.state)]
          end
          Row.new(**about, running: runs?(settled, @stop.running), stops: stops)
        end

        def settled_with(opened, beside)
          return @machine.settled if opened.empty? && beside.nil?

          ends = beside&.map { |name| @circuit.node(name) }
          touching = ends ? [Solving::Network::Branch.new(from: ends.first, to: ends.last, ohm: TOUCHES_OHM, volt: 0.0)] : []
          Solving::SettledStates.new(@circuit, switching: @machine.settled.switching, opened: opened, network: @circuit.network_with(touching))
        end

        def runs?(settled, state)
          Effort.spend!(STEPS_A_LOOK)
          Workings.new(settled).works?(@watch, state) == (@stop.runs == 'held')
        end

        # In the running state, beside the stop's own device and the relays in its feed.
        def others_dead_with(fuse)
          dead = @machine.blast.of(fuse).select { |effect| effect.key_state == @stop.running && effect.change == :dead }.map(&:watch)
          dead.reject { |watch| watch.key == @stop.device || watch.kind == 'relay' || dead_with_device.include?(watch.key) }.map(&:label)
        end

        # What a control unit switches is its own engine's, and borrows nothing.
        def dead_with_device
          @dead_with_device ||= begin
            effects = @machine.blast.of(@circuit.item(@stop.device))
            effects.select { |effect| effect.change == :dead }.map { |effect| effect.watch.key }
          end
        end

        def spoken(item)
          return item.label[0].upcase + item.label[1..] if item.kind == 'wire' || !item.whole

          item.label == item.key ? item.key : "#{item.key} #{item.label}"
        end
      end
    end
  end
end
