# frozen_string_literal: true

module Wattomneum
  module Practice
    # A unit with hidden faults that behaves as Physics has it: what wears, slips, shorts and starves in it is nothing that whoever looks for it
    # computes with. Answers as Unit does.
    class Vehicle < Unit
      SLOW_SHARE = 0.75
      # Where it pulls in and lets go again and again, a driver hears one click as often as this.
      HEARD_AS_CLICK = 0.3
      SOUND_RPM = 165.0
      LOADS_SHARE = 0.5
      PILE_SHARE = 1.6
      LAMP_WATT = 21.0
      LIT_SHARE = 0.45
      DIM_SHARE = 0.12
      SOUND_RIPPLE_VOLT = 0.09
      TIGHT_FROM = 1.2
      BASE_AMPERE = 4.0
      PILE_FROM_SHARE = 0.3
      LEAST_LOAD_SHARE = 0.05
      private_constant :SLOW_SHARE, :HEARD_AS_CLICK, :SOUND_RPM, :LOADS_SHARE, :PILE_SHARE, :LAMP_WATT, :LIT_SHARE, :DIM_SHARE,
                       :SOUND_RIPPLE_VOLT, :TIGHT_FROM, :BASE_AMPERE, :PILE_FROM_SHARE, :LEAST_LOAD_SHARE

      def initialize(charge: {}, health: {}, **rest)
        super(**rest)
        random = Random.new(rest.fetch(:seed) + 3)
        @sound_charge = system.positions.to_h { |position| [position, charge.fetch(position) { 0.88 + (0.12 * random.rand) }] }
        @sound_health = system.positions.to_h { |position| [position, health.fetch(position) { 0.9 + (0.2 * random.rand) }] }
        @draws = random.rand(1_000_000)
      end

      # Mends what sits in that part; a new battery comes charged.
      def mend(element: nil, position: nil, unit: nil)
        super
        forget
        return unless element == 'battery'

        @sound_charge = @sound_charge.merge(position => 0.97)
        @sound_health = @sound_health.merge(position => 1.0)
      end

      # On the charger overnight: flat comes back, a dead cell does not.
      def charge(position)
        @faults = @faults.reject { |fault| fault.is_a?(UnitFault) && fault.kind == 'flat' && [nil, position].include?(fault.position) }
        @sound_charge = @sound_charge.merge(position => 0.98)
        forget
      end

      # @param probe [Readings::Probe]
      # @param lamp_on [String, nil]
      # @return [Measured]
      def read(probe, lamp_on: nil)
        state = Circuits::Situations.on(truth_sheet, probe.situation).sheet_state
        return shown_volts(lamp_volt(probe.from, probe.to, lamp_on, state), 'load_on' => 'yes') if lamp_on
        return running(probe) if state == 'running' && probe.by == 'volts'

        shown = truth.read(probe.by, probe.from, probe.to, state: state, opened: probe.opened)
        beside = probe.situation == 'cranking' ? { Evidence::EngineSaid::KEY => engine_meanwhile } : {}
        Measured.new(value: shown.value, overload: shown.overload, observation: shown.observation, conditions: beside)
      end

      # @return [Float] volts of the whole bank at rest
      def rest_volt = between('positive_post', 'negative_post', 'isolator_on')

      # @return [Boolean] whether everything is right again
      def sound? = faults.empty?

      # @param state [String] of a test of the catalogue
      # @return [Float] volts at the posts in it
      def posts_volt(state) = between('positive_post', 'negative_post', Circuits::Situations.of_test(state).sheet_state)

      # @return [String] what is seen and heard when the key is turned
      def behaviour
        now = truth.settled_in('cranking')
        return 'spins_free' if [%w[starter spins], %w[engine toothless]].any? { |what| bolted.so?(*what) } && truth.speed_now('cranking') > 0.5
        return %w[chatters click][heard(HEARD_AS_CLICK)] if now.restless
        return 'silent' unless now.energised.include?(solenoid)
        return 'starts_and_dies' if bolted.so?('fuel', 'lost') && turns?
        return 'click' unless truth.speed_now('cranking').positive?

        turns? ? 'normal' : 'slow'
      end

      # @return [Boolean] whether it charges as it should
      def charges? = truth.excited?('running') && over_rest > 0.5 * factor && over_rest(with: [posts_load(LOADS_SHARE)]) > 0.25 * factor

      # @return [Float] volts over what it is to hold, at its posts
      def overcharges_by = at_posts(truth) - bolted(:fast, sound: true).generator.setpoint

      private

      # One that has been charged or mended is another one.
      def forget
        @truths = nil
        @bolts = nil
      end

      def truth_sheet = @drawn
      def solenoid = @drawn.places['solenoid_terminal']&.split(':')&.first
      def factor = system.system_volt / 12.0
      def turns? = truth.speed_now('cranking') >= SLOW_SHARE * truth.sound_speed('cranking')
      def heard(share) = Random.new(@draws + faults.size).rand < share ? 1 : 0

      def truth(engine = :fast)
        (@truths ||= {})[engine] ||=
          Physics::Truth.new(sheet: @drawn, faults: [*faults.grep(Fault), *rotor_fault], seed: @seed, bolted: bolted(engine),
                             sound: bolted(engine, sound: true), drains: [*drain])
      end

      def bolted(engine = :fast, sound: false)
        (@bolts ||= {})[[engine, sound]] ||=
          Physics::Bolted.new(sheet: @drawn, system: system, faults: sound ? [] : faults.grep(UnitFault), seed: @seed, celsius: temperature_celsius,
                              engine: engine, charge: sound ? {} : state_of_charge, health: sound ? {} : state_of_health)
      end

      def state_of_charge
        system.positions.to_h { |position| [position, amount_at('flat', position)&.then { |percent| percent / 100.0 } || @sound_charge[position]] }
      end

      def state_of_health = system.positions.to_h { |position| [position, amount_at('weak', position) || @sound_health[position]] }

      def amount_at(kind, position)
        faults.grep(UnitFault).find { |fault| fault.element == 'battery' && fault.kind == kind && [nil, position].include?(fault.position) }&.amount
      end

      def rotor_fault
        ohm = bolted.amount('alternator', 'field')
        ohm ? [Fault.new(item: "#{bolted.alternator_part.id} rotor", adds_ohm: ohm)] : []
      end

      # Something that nobody drew, on the posts day and night.
      def drain
        ampere = faults.grep(UnitFault).find { |fault| fault.element == 'drain' }&.amount
        [[@drawn.places['positive_post'], @drawn.places['negative_post'], system.system_volt / ampere]] if ampere
      end

      def between(from, to, state, engine: :fast, **rest) = truth(engine).volt_between(node(from), node(to), state: state, **rest)
      def node(place) = @drawn.places.fetch(place)

      # So much of its rating together with what runs anyway.
      def posts_load(share)
        left = [(share * rating) - own_ampere, LEAST_LOAD_SHARE * rating].max
        [node('positive_post'), node('negative_post'), system.system_volt / left]
      end

      def own_ampere
        return 0.0 unless bolted.alternator_part

        @own_ampere ||= sound_truth(bolted(:fast, sound: true)).ampere_in("#{bolted.alternator_part.id} output", state: 'running')
      end

      def sound_truth(bolted) = Physics::Truth.new(sheet: @drawn, faults: [], seed: @seed, bolted: bolted, sound: bolted)
      def rating = system.alternator_rating_ampere || 80.0
      # What runs with any engine: pump, control unit, gauges.
      def running_loads = [[node('positive_post'), node('negative_post'), system.system_volt / BASE_AMPERE]]

      def at_posts(truth, loads: [])
        truth.volt_between(node('positive_post'), node('negative_post'), state: 'running', loads: loads + running_loads)
      end

      def over_rest(with: []) = at_posts(truth, loads: with) - rest_volt

      # -- batteries

      def measure_battery(test, position)
        one = alone(position)
        case test.key
        when 'rest_voltage' then shown_volts(one.rest_volt)
        when 'hydrometer' then Measured.new(cells: cells(one, position))
        when 'battery_test' then by_tester(position)
        else
          ampere = (system.batteries.fetch(position).rating.sae_ampere / 2).round
          shown_volts(one.volt(-ampere.to_f), 'load_ampere' => ampere)
        end
      end

      def alone(position)
        part = bolted.batteries.keys.find { |id| bolted.position(id) == position } || bolted.batteries.keys.first
        bolted.batteries.fetch(part)
      end

      def standard(position) = system.batteries.fetch(position).rating.standard

      def by_tester(position)
        ampere = alone(position).conductance_ampere / Batteries::Rating::STANDARDS.fetch(standard(position))
        Measured.new(value: noisy(ampere, TESTER_RATIO).round, conditions: { 'tester_standard' => standard(position) })
      end

      def cells(one, position)
        list = Array.new((6 * system.blocks_per_battery).round) { (one.gravity + ((@random.rand - 0.5) * 0.008)).round(3) }
        list[2] = Physics::Accumulator::DEAD_CELL_GRAVITY if dead_cell?(position)
        list
      end

      def dead_cell?(position) = faults.grep(UnitFault).any? { |fault| fault.kind == 'cell' && fault.position == position }

      # -- start

      def engine_meanwhile = Evidence::EngineSaid.of(behaviour)

      def start_reading(test)
        case test.key
        when 'cranking_behaviour' then Measured.new(observation: behaviour)
        when 'connections_look' then Measured.new(observation: 'clean')
        when 'engine_by_hand' then Measured.new(observation: by_hand)
        when 'ring_gear_look' then Measured.new(observation: bolted.so?('engine', 'toothless') ? 'worn' : 'whole')
        when 'cable_lamp' then Measured.new(observation: truth.read('lamp', node(test.from), node(test.to), state: 'isolator_on').observation)
        when 'cranking_current' then Measured.new(value: noisy(cranking_ampere, CLAMP_RATIO).round)
        when 'cranking_speed' then Measured.new(value: noisy(SOUND_RPM * truth.speed_now('cranking'), SPEED_RATIO).round)
        when 'signal_wire_ohms' then super
        else shown_volts(between(test.from, test.to, Circuits::Situations.of_test(test.state).sheet_state))
        end
      end

      def by_hand
        return 'locked' if bolted.so?('engine', 'locked')

        (bolted.amount('engine', 'drags') || 1.0) >= TIGHT_FROM ? 'tight' : 'free'
      end

      def cranking_ampere
        truth.ampere_in("#{solenoid} contact 30 to 87", state: 'cranking')
      end

      # -- charging

      def charge_reading(test)
        case test.key
        when 'belt_look' then Measured.new(observation: bolted.so?('belt', 'slips') ? 'loose' : 'clean')
        when 'charge_lamp_key_on' then Measured.new(observation: key_on_lamp)
        when 'charge_lamp_apart' then Measured.new(observation: lamp('key_on', opened: [bolted.alternator_part.id]) == 'lit' ? 'lit' : 'dark')
        when 'charge_lamp_running' then Measured.new(observation: lamp('running'))
        when 'output_terminal_stopped', 'sense_feed', 'excitation_feed' then feed(test)
        when 'charging_idle' then shown_volts(at_posts(truth(:idle)))
        when 'charging_loaded' then shown_volts(at_posts(truth, loads: [posts_load(LOADS_SHARE)]))
        when 'ripple' then Measured.new(value: noisy(ripple_volt, 0.05).round(2))
        when 'alternator_output' then Measured.new(value: noisy(output_ampere(PILE_SHARE), CLAMP_RATIO).round)
        when 'dash_gauge' then Measured.new(value: (at_posts(truth) - (0.4 * factor)).round)
        when 'draw_asleep' then Measured.new(value: noisy(DRAWS_ASLEEP_AMPERE + drain_ampere, 0.02).round(3))
        when 'posts_heater' then shown_volts(between('positive_post', 'negative_post', 'key_on'))
        when 'alternator_case_drop', 'alternator_output_drop' then at_current(test)
        else shown_volts(at_posts(truth))
        end
      end

      def drain_ampere = faults.grep(UnitFault).select { |fault| fault.element == 'drain' }.sum(&:amount)
      def ripple_volt = bolted.amount('alternator', 'half') ? 0.55 * factor : SOUND_RIPPLE_VOLT * factor

      def output_ampere(share)
        return 0.0 unless truth.excited?('running')

        [truth.ampere_in("#{bolted.alternator_part.id} output", state: 'running', loads: [posts_load(share)]), 0.0].max
      end

      def key_on_lamp
        seen = lamp('key_on')
        seen == 'dim' ? 'dark' : seen
      end

      def lamp(state, opened: [])
        id = @drawn.places['charge_lamp']&.split(':')&.first or return 'no_lamp'
        share = glow(id, state, opened: opened)
        return 'lit' if share >= LIT_SHARE

        share >= DIM_SHARE && state == 'running' ? 'dim' : 'dark'
      end

      def feed(test)
        terminal = node(test.from)
        state = Circuits::Situations.of_test(test.state).sheet_state
        said = { 'load_on' => 'yes', 'charge_lamp_lights' => lights_with(terminal, state) }
        shown_volts(lamp_volt(terminal, node('negative_post'), terminal, state), said)
      end

      # Whether the charge lamp goes on as a lamp is hung on the free end of its wire.
      def lights_with(terminal, state)
        id = @drawn.places['charge_lamp']&.split(':')&.first or return 'no'
        lamp = [terminal, node('negative_post'), (system.system_volt**2) / LAMP_WATT]
        glow(id, state, loads: [lamp], opened: [bolted.alternator_part.id]) >= LIT_SHARE ? 'yes' : 'no'
      end

      # Its ampere against those of the whole system's volts.
      def glow(id, state, **rest) = truth.ampere(id, state: state, **rest).abs * @drawn.part(id).ohm / system.system_volt

      def lamp_volt(from, to, terminal, state)
        lamp = [terminal, node('negative_post'), (system.system_volt**2) / LAMP_WATT]
        off = terminal == node('alternator_output') ? [] : [bolted.alternator_part.id]
        truth.volt_between(from, to, state: state, loads: [lamp], opened: off)
      end

      def gives? = output_ampere(LOADS_SHARE) > PILE_FROM_SHARE * LOADS_SHARE * rating

      # Without output the engine is stopped and a pile from B+ to case is the load.
      def at_current(test)
        measured = loaded_drop(node(test.from), node(test.to))
        measured.state = 'off' unless gives?
        measured
      end

      def running(probe)
        return loaded_drop(probe.from, probe.to) if probe.situation == 'fast_idle_loaded'

        volt = truth(probe.situation == 'idle' ? :idle : :fast).volt_between(probe.from, probe.to, state: 'running', opened: probe.opened)
        shown_volts(volt, 'current_ampere' => output_ampere(0.05).round)
      end

      def loaded_drop(from, to)
        return piled(from, to) unless gives?

        volt = truth.volt_between(from, to, state: 'running', loads: [posts_load(LOADS_SHARE)])
        shown_volts(volt, 'current_ampere' => output_ampere(LOADS_SHARE).round)
      end

      def piled(from, to)
        ends = [node('alternator_output'), node('alternator_case')]
        pile = [*ends, system.system_volt / (LOADS_SHARE * rating)]
        ampere = truth.volt_between(*ends, state: 'isolator_on', loads: [pile]) / pile.last
        shown_volts(truth.volt_between(from, to, state: 'isolator_on', loads: [pile]), 'current_ampere' => ampere.round)
      end

      # As the display has it, to its last digit.
      def shown_volts(volt, conditions = {})
        shown = Meter.shown(noisy(volt, METER_RATIO))
        said = shown.abs < 0.02 ? { 'meter_proved' => 'yes' } : {}
        Measured.new(value: shown, conditions: { 'value_confirmed' => 'yes' }.merge(said, conditions))
      end

      def posts_in(state) = Meter.shown(noisy(posts_volt(state), METER_RATIO))
    end
  end
end
