# frozen_string_literal: true

module Wattomneum
  module Circuits
    # A start and a charge circuit for a unit that has no sheet of its own for them, made from the few facts that are known of it. Cables
    # have the resistance that sound ones have at the unit's usual current; lengths and colours are nobody's to guess.
    class UsualSheets
      # Share of its limit that a sound stretch drops at the usual current (common practice).
      HEALTHY_SHARE = { 'drop.start_cable' => 0.45, 'drop.contact' => 0.35, 'drop.connection' => 0.4, 'drop.ground_network' => 0.45,
                        'drop.ground_cranking' => 0.35 }.freeze
      # A battery of which nothing is entered, and the engine at about this temperature.
      UNRATED_OHM = 0.005
      CELSIUS = 20.0
      # A solenoid of 12 V; four times that on 24 V.
      SOLENOID_OHM = 0.9
      private_constant :HEALTHY_SHARE, :UNRATED_OHM, :CELSIUS, :SOLENOID_OHM

      # Cables of a unit that has no starter are drawn for this.
      WITHOUT_STARTER_AMPERE = 100.0
      private_constant :WITHOUT_STARTER_AMPERE

      START = 'usual_start'
      CHARGE = 'usual_charge'

      # The bank is drawn battery by battery once, and as a box wherever another sheet has it already.
      #
      # @param system [Units::ElectricalSystem]
      # @param drawn [Array<Sheet>] that the unit has
      # @return [Array<Sheet>] for the loops that none of them draws
      def self.for(system, drawn: [])
        return [] unless system.battery?

        loops = drawn.flat_map { |sheet| sheet.loops.map(&:key) }
        has_bank = drawn.any? { |sheet| sheet.parts.any?(Parts::Battery) }
        [*(new(system, box: has_bank).start unless loops.include?('start') || !system.starter?),
         *(new(system, box: true).charge unless loops.include?('charge') || system.alternator_rating_ampere.nil?)]
      end

      # @param system [Units::ElectricalSystem]
      # @return [Sheet, nil] all that can be made from its facts as one circuit; nil without a battery
      def self.drawn(system)
        sheets = self.for(system)
        Assembly.new(sheets).sheet if sheets.any?
      end

      # @param system [Units::ElectricalSystem]
      # @return [Machine, nil] the same with what is bolted on
      def self.machine(system) = drawn(system)&.then { |sheet| Fitment.new(sheet, system: system).machine }

      # @param sheet [Sheet]
      # @return [Boolean] whether it was made here: a guess, which gives way to whatever somebody drew
      def self.made?(sheet) = [START, CHARGE].include?(sheet.key)

      # @param system [Units::ElectricalSystem]
      # @param box [Boolean] the bank as one battery
      def initialize(system, box: false)
        @system = system
        @box = box
        @volt = system.system_volt
        @ampere = system.usual_cranking_current_ampere || WITHOUT_STARTER_AMPERE
      end

      # @return [Sheet]
      def start
        sheet(START, 'Start circuit, the usual one', [*bank, *isolator, *START_PARTS, *interlock, solenoid, starter, *metal],
              [*bank_wires, *feed_to('K2:30'), *START_WIRES, *coil_ground, *ground, bolts], loops: 'start, load: M1, state: cranking',
              places: { starter_stud: 'K2:30', solenoid_terminal: 'K2:86', starter_case: "M1:#{starter_back}" })
      end

      # @return [Sheet]
      def charge
        charger = Charger.new(@system, back: back)
        sheet(CHARGE, 'Charge circuit, the usual one', [*bank, *isolator, *CHARGE_PARTS, *charger.parts, *metal],
              [*bank_wires, *feed_to(nil), *CHARGE_WIRES, *charger.wires, *ground], loops: 'charge, load: G, state: running',
              places: charger.places)
      end

      START_PARTS = ['{ id: F1, kind: fuse, label: Key switch feed, rating_ampere: 30 }',
                     '{ id: F2, kind: fuse, label: Start relay feed, rating_ampere: 30 }',
                     '{ id: S2, kind: switch, label: Key switch, contacts: [{ from: 30, to: 15, closed_in: [key_on, cranking, running] }, ' \
                     '{ from: 30, to: 50, closed_in: [cranking] }] }',
                     '{ id: K1, kind: relay, label: Start relay }'].freeze
      START_WIRES = ['{ number: 11, from: FEED, to: F1:1, ohm: 0.002 }', '{ number: 12, from: FEED, to: F2:1, ohm: 0.002 }',
                     '{ number: 13, from: F1:2, to: S2:30, ohm: 0.02 }', '{ number: 15, from: S2:50, to: K1:86, ohm: 0.05 }',
                     '{ number: 18, from: F2:2, to: K1:30, ohm: 0.003 }',
                     '{ number: 19, from: K1:87, to: K2:86, ohm: 0.01 }', '{ number: 6, from: K2:87, to: M1:+, ohm: 0.00002 }'].freeze
      CHARGE_PARTS = ['{ id: F3, kind: fuse, label: Gauges and lamps, rating_ampere: 10 }',
                      '{ id: FL1, kind: fusible_link, label: Output link, rating_ampere: 250 }',
                      '{ id: S2, kind: switch, label: Key switch, contacts: [{ from: 30, to: 15, closed_in: [key_on, cranking, running] }] }'].freeze
      CHARGE_WIRES = ['{ number: 21, from: FEED, to: S2:30, ohm: 0.02 }', '{ number: 35, from: S2:15, to: F3:1, ohm: 0.005 }',
                      '{ number: 30, from: G:B+, to: FL1:1, ohm: 0.0003 }', '{ number: 31, from: FL1:2, to: FEED, ohm: 0.0005 }'].freeze
      METAL = ['{ id: G2, kind: ground, label: Battery ground, body: FRAME, ohm: 0.00003, ring_ohm: 0.00002 }',
               '{ id: FEED, kind: stud, label: Feed stud, ring_ohm: 0.00002 }',
               '{ id: BLOCK, kind: body, label: Engine block }', '{ id: FRAME, kind: body, label: Frame }'].freeze
      # Where no metal of the machine leads back, all returns meet on a stud.
      STUDS = ['{ id: FEED, kind: stud, label: Feed stud, ring_ohm: 0.00002 }',
               '{ id: RET, kind: stud, label: Return stud, ring_ohm: 0.00002 }'].freeze
      private_constant :START_PARTS, :START_WIRES, :CHARGE_PARTS, :CHARGE_WIRES, :METAL, :STUDS

      private

      def sheet(key, title, parts, wires, loops:, places:)
        all = { positive_post: plus, negative_post: minus, **metal_places,
                **(@system.has_isolator ? { isolator_in: 'S1:1', isolator_out: 'S1:2' } : {}), **places }
        text = ["sheet: #{key}", "title: #{title}", "system_volt: #{@volt}", "reference: #{minus}",
                "places: { #{all.map { |place, node| "#{place}: \"#{node}\"" }.join(', ')} }", "loops: [{ key: #{loops} }]",
                'components:', *parts.map { |row| "  - #{row}" }, 'wires:', *wires.map { |row| "  - #{row}" }].join("\n")
        read = Notation::SheetReader.read(text)
        read.sheet || raise(ConvergenceError, "the usual sheet cannot be read: #{read.problems.first}")
      end

      def metal = @system.insulated? ? STUDS : METAL

      def metal_places
        return { battery_ground: 'RET:joint' } if @system.insulated?

        { engine_block: 'BLOCK:metal', frame: 'FRAME:metal', battery_ground: 'G2:joint' }
      end

      # Where small returns meet, and what leads them back.
      def back = @system.insulated? ? 'RET' : 'G2'
      def starter_back = @system.insulated? ? '-' : 'case'

      def plus
        return 'BAT:+' if @box

        @system.series? ? "BAT_#{@system.positions.last}:+" : 'BAT_A:+'
      end

      def minus = @box ? 'BAT:-' : 'BAT_A:-'

      def battery_ohm(position)
        blocks = @system.blocks_per_battery
        battery = @system.batteries[position] or return UNRATED_OHM * blocks
        Batteries::InternalResistance.from_rating(measured_sae_ampere: battery.rating.sae_ampere, rest_volt: Parts::Battery::NOMINAL_VOLT,
                                                  temperature_celsius: CELSIUS, blocks: blocks)
      end

      def bank_ohm
        ohms = @system.positions.map { |position| battery_ohm(position) }
        @system.parallel? ? 1.0 / ohms.sum { |ohm| 1.0 / ohm } : ohms.sum
      end

      def bank
        volts = Parts::Battery::NOMINAL_VOLT * @volt / 12.0
        return ["{ id: BAT, kind: battery, label: Battery bank, volt: #{volts}, ohm: #{written(bank_ohm)} }"] if @box

        @system.positions.map do |position|
          "{ id: BAT_#{position}, kind: battery, label: Battery #{position}, volt: #{Parts::Battery::NOMINAL_VOLT * @system.blocks_per_battery}, " \
            "ohm: #{written(battery_ohm(position))} }"
        end
      end

      def bank_wires
        return [] if @box

        pairs = @system.positions.each_cons(2)
        return pairs.map { |one, other| link("link #{other}", "BAT_#{one}:+", "BAT_#{other}:-") } if @system.series?

        pairs.to_a.product(POSTS).map { |(one, other), post| link("link #{other}#{post}", "BAT_#{other}:#{post}", "BAT_#{one}:#{post}") }
      end

      POSTS = %w[+ -].freeze
      LINK_OHM = 0.0001
      private_constant :POSTS, :LINK_OHM

      def link(number, from, to) = "{ number: #{number}, from: \"#{from}\", to: \"#{to}\", ohm: #{LINK_OHM} }"

      def isolator
        return [] unless @system.has_isolator

        ['{ id: S1, kind: isolator, label: Battery isolator, closed_in: [isolator_on, key_on, cranking, running], ' \
         "ohm: #{written(healthy('drop.contact'))} }"]
      end

      # From the post to the stud that feeds the rest, and on to the starter.
      def feed_to(stud)
        cable = written(healthy('drop.start_cable'))
        post = @system.has_isolator ? ["{ number: 1, from: \"#{plus}\", to: S1:1, ohm: #{cable} }"] : []
        from = @system.has_isolator ? 'S1:2' : plus
        [*post, "{ number: 10, from: \"#{from}\", to: FEED, ohm: 0.0005 }", *("{ number: 4, from: \"#{from}\", to: #{stud}, ohm: #{cable} }" if stud)]
      end

      # Frame and engine block lead back, or cables.
      def ground
        post = "{ number: 5, from: \"#{minus}\", to: #{back}, ohm: #{written(healthy('drop.ground_cranking'))} }"
        return [post] if @system.insulated?

        [post, "{ number: strap, from: BLOCK, to: FRAME, ohm: #{written(healthy('drop.ground_network'))} }"]
      end

      def bolts
        return "{ number: bolts, from: M1:case, to: BLOCK, ohm: #{written(healthy('drop.connection'))} }" unless @system.insulated?

        "{ number: 7, from: \"M1:-\", to: RET, ohm: #{written(healthy('drop.ground_network'))} }"
      end

      def solenoid
        ratio = @volt / 12.0
        "{ id: K2, kind: relay, label: Starter solenoid, coil_ohm: #{SOLENOID_OHM * (ratio**2)}, ohm: 0.0002, pull_in_volt: #{7.5 * ratio}, " \
          "drop_out_volt: #{2.5 * ratio}, aliases: { \"50\": \"86\", \"31\": \"85\", M: \"87\" } }"
      end

      # What is left of the usual current's volts once bank and path have had theirs.
      def starter
        path = healthy('drop.start_cable') + healthy('drop.ground_cranking') + healthy('drop.ground_network') + healthy('drop.connection') + 0.0003
        path += healthy('drop.start_cable') + healthy('drop.contact') if @system.has_isolator
        volts = Parts::Battery::NOMINAL_VOLT * @volt / 12.0
        ohm = (volts / @ampere) - bank_ohm - path
        "{ id: M1, kind: load, label: Starter, pins: [\"+\", \"#{starter_back}\"], ohm: #{written(ohm.clamp(LEAST_OHM, MOST_OHM))}, " \
          "works_from_volt: #{6.5 * @volt / 12.0}, works_in: [cranking] }"
      end

      LEAST_OHM = 0.002
      MOST_OHM = 100.0
      private_constant :LEAST_OHM, :MOST_OHM

      # A neutral switch lies in the ground of the start relay's coil.
      def interlock
        @system.neutral_interlock ? ['{ id: S3, kind: switch, label: Neutral switch, closed_in: [off, isolator_on, key_on, cranking, running] }'] : []
      end

      def coil_ground
        own = "{ number: sol, from: K2:85, to: \"M1:#{starter_back}\", ohm: 0.0005 }"
        return [own, "{ number: 17, from: K1:85, to: #{back}, ohm: 0.01 }"] unless @system.neutral_interlock

        [own, '{ number: 17, from: K1:85, to: S3:1, ohm: 0.01 }', "{ number: 20, from: S3:2, to: #{back}, ohm: 0.01 }"]
      end

      # Within what a sheet may hold, whatever was entered.
      def healthy(limit) = (HEALTHY_SHARE.fetch(limit) * @system.limit(limit).value / @ampere).clamp(0.00001, 1.0)
      def written(number) = format('%.7f', number)
    end
  end
end
