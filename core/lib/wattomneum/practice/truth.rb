# frozen_string_literal: true

module Wattomneum
  module Practice
    # What really is the matter with a unit, hidden from whoever looks for it: its circuit with every component a little off its label, the
    # faults put in, and a meter that errs as meters do. Knows neither limits nor how faults are looked for.
    class Truth
      OPEN_OHM = 1e12
      # Components are off their labels by up to this: wires by length, loads and coils by make (ours).
      SPREAD_RATIO = 0.15
      METER_OHM = 1e7
      # One meter errs one way all day; its last digit flickers.
      METER_RATIO = 0.004
      OVER_RANGE_OHM = 4e7
      # Under the first share of its sound volts something does nothing, under the second it works weakly.
      DEAD_RATIO = 0.45
      WEAK_RATIO = 0.8
      IDLE_RATIO = 0.05
      Shown = Struct.new(:value, :overload, :observation, keyword_init: true)

      # @return [Array<Fault>] what is still wrong
      attr_reader :faults

      # @param sheet [Circuits::Sheet] as it is drawn
      # @param faults [Array<Fault>]
      # @param seed [Integer]
      # @param drawn_wrong [Boolean] whether the drawing is wrong about this unit: half to twice the ohms, of everything but sources and coils
      def initialize(sheet:, faults:, seed:, drawn_wrong: false)
        @sheet = sheet
        @drawn_wrong = drawn_wrong
        @faults = faults
        @random = Random.new(seed)
        @drawn = sheet.circuit
        @gain = 1 + (METER_RATIO * noise)
        @labels = @drawn.owned.each_index.to_h { |index| [index, @drawn.network.branches[index].ohm * off_label(index)] }
        @sound = settled(@labels, sound: true)
        change
      end

      # @param method [String] volts, ohms, current, lamp or seen
      # @param from [String] node
      # @param to [String] node
      # @param state [String] key state of the sheet
      # @param opened [Array<String>] ids of components whose plug is off
      # @param watched [String, nil] node of what is looked at in the same moment, beside volts
      # @return [Shown]
      def read(method, from, to, state:, opened: [], watched: nil)
        case method
        when 'seen' then Shown.new(observation: seen(from, state, opened))
        when 'ohms' then ohms(from, to, state, opened)
        when 'lamp' then Shown.new(observation: lamp(from, to, state, opened))
        else Shown.new(value: volts(from, to, state, opened), observation: watched && seen(watched, state, opened))
        end
      end

      # @param from [String] node
      # @param to [String] node
      # @param state [String]
      # @param loads [Array<Array(String, String, Float)>] hung on for it: node, node, ohm
      # @param opened [Array<String>] ids of components whose plug is off
      # @return [Float] volts as they are, with no meter on them
      def volt_between(from, to, state:, loads: [], opened: [])
        extra = loads.map { |one, other, ohm| branch(one, other, ohm) }
        solution = (extra.empty? && opened.empty? ? @settled : with(extra, opened)).fetch(state).solution
        one, other = [from, to].map { |node| @drawn.node(node) }
        solution.connected?(one, other) ? solution.volt(one) - solution.volt(other) : 0.0
      end

      # @param id [String] of a component with one way through it at a time
      # @param state [String]
      # @param loads [Array<Array(String, String, Float)>] hung on for it: node, node, ohm
      # @param opened [Array<String>] ids of components whose plug is off
      # @return [Float] ampere
      def ampere(id, state:, loads: [], opened: [])
        settled = loads.empty? && opened.empty? ? @settled : with(loads.map { |one, other, ohm| branch(one, other, ohm) }, opened)
        branches = @drawn.owned.each_index.select { |index| @drawn.owned[index].part&.id == id && @drawn.owned[index].ring_of.nil? }
        branches.sum { |index| settled.fetch(state).solution.current(index) }
      end

      # @param item [String] key of an item with one way through it
      # @param state [String]
      # @param loads [Array<Array(String, String, Float)>] hung on for it: node, node, ohm
      # @return [Float] ampere in it, whichever way
      def ampere_in(item, state:, loads: [])
        solution = with(loads.map { |one, other, ohm| branch(one, other, ohm) }, []).fetch(state).solution
        solution.current(@drawn.item(item).branches.first).abs
      end

      # @param state [String]
      # @return [Boolean] whether some relay never comes to rest
      def restless?(state) = @settled.fetch(state).chatters?

      # @param id [String] of a relay
      # @param state [String]
      # @return [Boolean] whether its contacts are pulled in
      def pulled_in?(id, state) = @settled.fetch(state).positions.energised.include?(id)

      # A new part, a clean joint: whatever was wrong with these is right.
      #
      # @param items [Array<String>] keys of items of the circuit
      def mend(items)
        mended = items.flat_map { |key| @drawn.item(key).branches }
        @faults = @faults.reject { |fault| @drawn.item(fault.item).branches.intersect?(mended) }
        change
      end

      # @param id [String] of a component
      # @param state [String]
      # @return [Boolean]
      def works?(id, state) = seen("#{id}:", state, []) == 'works'

      private

      # Sources are what they are said to be: what wears them is a fault, and a starter's engine asks for what it asks.
      def off_label(index)
        one = @drawn.owned[index]
        made_so = [Circuits::Parts::Battery, Circuits::Parts::Starter].any? { |kind| one.part.is_a?(kind) }
        return 1.0 unless one.branch.volt.zero? && !made_so

        @drawn_wrong && one.branch.name != 'coil' ? 2**noise : 1 + (SPREAD_RATIO * noise)
      end

      def change
        ohms = @labels.dup
        @faults.each do |fault|
          @drawn.item(fault.item).branches.each { |index| ohms[index] = fault.ohm || (ohms[index] + fault.adds_ohm.to_f) }
        end
        @ways = @faults.flat_map { |fault| ways(fault) }
        @ohms = ohms
        @settled = settled(ohms, @ways.map(&:last))
      end

      # Ways that should not be there: to the metal, to a live wire, past a contact. With the component that a contact is in it comes off.
      def ways(fault)
        index = @drawn.item(fault.item).branches.first
        one = @drawn.network.branches[index]
        part = @drawn.owned[index].part&.id if fault.stuck
        rubbed = rubbed_node(@drawn.owned[index].wire, one)
        known = [[rubbed, 0, fault.to_ground_ohm], [live_node, rubbed, fault.to_live_ohm],
                 [one.from, one.to, fault.stuck && @labels[index]]].select(&:last)
        known.map { |from, to, ohm| [part, Circuits::Solving::Network::Branch.new(from: from, to: to, ohm: ohm, volt: 0.0)] }
      end

      # A rubbed place goes with its wire, wherever that is taken off: it stands at the end that no other wire shares.
      def rubbed_node(wire, branch)
        return branch.from if wire.nil?

        @wire_ends ||= @sheet.wires.flat_map { |one| [one.from, one.to] }.tally
        @wire_ends[wire.from] > 1 && @wire_ends[wire.to] == 1 ? branch.to : branch.from
      end

      def live_node = @drawn.node(@sheet.places['positive_post'] || @sheet.parts.grep(Circuits::Parts::Battery).first.node('+'))

      def settled(ohms, extra = [], **)
        circuit = Circuits::Circuit.new(@sheet, ohms: ohms)
        Circuits::Solving::SettledStates.new(circuit, network: circuit.network_with(extra))
      end

      def volts(from, to, state, opened)
        meter = [branch(from, to, METER_OHM)]
        solution = with(meter, opened).fetch(state).solution
        shown = solution.current(@drawn.network.branches.size) * METER_OHM
        Meter.shown((shown * @gain) + (Meter.digit(shown) * noise), range_of: shown)
      end

      # A source behind a kilohm: what it drives says what lies outside.
      def ohms(from, to, state, opened)
        solution = with([branch(from, to, 1000.0, 1.0)], opened).fetch(state).solution
        index = @drawn.network.branches.size
        ampere = solution.current(index)
        return Shown.new(overload: true) if ampere.abs < 1.0 / OVER_RANGE_OHM

        ohm = (-1.0 / ampere).abs - 1000.0
        Shown.new(value: [ohm * (1 + (0.01 * noise)), 0.0].max + (0.1 * @random.rand))
      end

      def lamp(from, to, state, opened)
        ohm = (@sheet.system_volt**2) / 21.0
        ratio = (with([branch(from, to, ohm)], opened).fetch(state).solution.current(@drawn.network.branches.size) * ohm).abs / @sheet.system_volt
        return 'bright' if ratio > WEAK_RATIO

        ratio > 0.25 ? 'dim' : 'dark'
      end

      # Against what it does in this state, or, where it should do nothing, at work.
      def seen(node, state, opened)
        watch = @drawn.watch_of(node)
        most = @sheet.states.keys.map { |key| power(@sound, watch, key) }.max
        sound = power(@sound, watch, state)
        settled = opened.empty? ? @settled : with([], opened)
        ratio = power(settled, watch, state) / [sound < IDLE_RATIO * most ? most : sound, 1e-9].max
        return 'works' if ratio >= WEAK_RATIO

        ratio < DEAD_RATIO ? 'dead' : 'weak'
      end

      # What makes it work is its current, of which an open coil has none.
      def power(settled, watch, state)
        index = @drawn.element(watch)
        solution = settled.fetch(state).solution
        return speed(settled, watch.key, state) if @sheet.part(watch.key).is_a?(Circuits::Parts::Starter)

        index ? solution.current(index).abs : (solution.volt(@drawn.node(watch.from)) - solution.volt(@drawn.node(watch.to))).abs
      end

      # A starter is seen by how it turns the engine.
      def speed(settled, id, state)
        branches = @drawn.owned.each_index.select { |index| @drawn.owned[index].part&.id == id && @drawn.owned[index].ring_of.nil? }
        [@sheet.part(id).speed_ratio(branches.sum { |index| settled.fetch(state).solution.current(index) }), 0.0].max
      end

      def with(extra, opened)
        off = @drawn.owned.each_index.select { |index| comes_off?(@drawn.owned[index], opened) }
        ways = @ways.filter_map { |part, way| way unless opened.include?(part) }
        Circuits::Solving::SettledStates.new(@settled.circuit, opened: off, network: @settled.circuit.network_with([*extra, *ways]))
      end

      # A component with all that is inside it, the ring of a wire, or its end out of a pin or splice.
      def comes_off?(owned, opened)
        wire = owned.ring_of || owned.wire
        return opened.include?(owned.part&.id) if wire.nil?
        return true if opened.any? { |id| id.start_with?("end of wire #{wire.number} in ") && ends_there?(owned, id) }

        owned.ring_of && owned.part.kind == 'stud' && opened.include?("wire #{wire.number}")
      end

      def ends_there?(owned, id) = owned.ring_of ? id.end_with?(" in #{owned.part.id}") : id.include?(':')

      def branch(from, to, ohm, volt = 0.0)
        Circuits::Solving::Network::Branch.new(from: @drawn.node(from), to: @drawn.node(to), ohm: ohm, volt: volt)
      end

      def noise = (2 * @random.rand) - 1
    end
  end
end
