# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::UsualSheets do
  def whole(system) = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Assembly.new(described_class.for(system)).sheet)

  systems = { 'a single battery' => :single_battery, 'a 12 V pair' => :parallel_pair, 'a 24 V pair' => :series_pair }

  systems.each do |name, system|
    describe name do
      let(:machine) { whole(public_send(system)) }
      let(:unit) { public_send(system) }

      it 'agrees with ngspice in every state' do
        machine.settled.all.each { |state, result| expect_agreement_with_ngspice(machine.circuit, result, state) }
      end

      # Common practice: a healthy machine takes its usual current, its posts stay over 9.6 V (19.2), its drops within their limits.
      it 'cranks as a healthy one does' do
        volt = ->(pin) { volts_at(machine.settled, pin, 'cranking') }
        post = machine.sheet.places['positive_post']
        ampere = machine.settled.fetch('cranking').solution.current(machine.circuit.item('M1').branches.first)
        expect(ampere).to be_within(6).percent_of(unit.usual_cranking_current_ampere)
        expect(volt.call(post)).to be > 9.6 * unit.system_volt / 12
        expect(volt.call(post) - volt.call('K2:30')).to be_between(0.02, unit.limit('drop.positive_cranking').value)
        expect(volt.call('M1:case')).to be_between(0.02, unit.limit('drop.ground_cranking').value)
      end

      it 'charges while it runs, with the lamp lit before and out then, and settles calmly' do
        workings = Wattomneum::Circuits::Questions::Workings.new(machine.settled)
        lamp = machine.sheet.part('H1').watches.first
        expect(%w[off isolator_on key_on running].select { |state| workings.works?(lamp, state) }).to eq(%w[key_on])
        expect(volts_at(machine.settled, machine.sheet.places['positive_post'], 'running')).to be_within(0.3).of(14.1 * unit.system_volt / 12)
        results = machine.settled.all.values
        restless = results.flat_map { |one| one.chattering + one.uncertain + one.blown.keys }
        expect(restless + machine.shorts).to be_empty
      end

      it 'has its loops over the places that a job measures at' do
        start, charge = machine.loops
        isolator = unit.has_isolator ? %w[isolator_in isolator_out] : []
        expect([start.key, start.feed.map(&:role), start.return.map(&:role)])
          .to eq(['start', ['positive_post', *isolator, 'starter_stud'], %w[starter_case engine_block frame negative_post]])
        expect([charge.key, charge.feed.map(&:role), charge.return.map(&:role)])
          .to eq(['charge', ['positive_post', *isolator, 'alternator_output'], %w[alternator_case engine_block frame negative_post]])
      end
    end
  end

  %w[external_a external_b commanded].each do |kind|
    it "charges with a regulator that is #{kind.tr('_', ' ')}, as ngspice does, and not without its field" do
      machine = whole(series_pair(regulator: kind, neutral_interlock: true))
      machine.settled.all.each { |state, result| expect_agreement_with_ngspice(machine.circuit, result, state) }
      charges = machine.circuit.watch_of('G:B+')
      works = ->(settled) { Wattomneum::Circuits::Questions::Workings.new(settled).works?(charges, 'running') }
      field = kind == 'commanded' ? 'wire 37' : 'wire 44'
      expect([works.call(machine.settled), works.call(machine.settled.opening(machine.circuit.item(field)))]).to eq([true, false])
      start = machine.circuit.watch_of('M1:+')
      parked = machine.settled.opening(machine.circuit.item('S3'))
      expect(Wattomneum::Circuits::Questions::Workings.new(parked).works?(start, 'cranking')).to be(false)
    end
  end

  it 'is not made for an engine without battery or starter' do
    none = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    by_hand = single_battery(usual_cranking_current_ampere: nil)
    expect([described_class.for(none), described_class.for(by_hand).map(&:key)]).to eq([[], ['usual_charge']])
  end

  it 'is made only for the loops that no sheet draws, and no charge circuit without an alternator' do
    drawn = [Wattomneum::Circuits::Library.fetch('start_12v')]
    expect(described_class.for(parallel_pair, drawn: drawn).map(&:key)).to eq(['usual_charge'])
    expect(described_class.for(parallel_pair(alternator_rating_ampere: nil)).map(&:key)).to eq(['usual_start'])
  end

  it 'can be made of whatever facts a unit may have' do
    [0.001, 20.0, 150.0, 3000.0].each do |ampere|
      [single_battery(usual_cranking_current_ampere: ampere), series_pair(usual_cranking_current_ampere: ampere, has_isolator: false),
       parallel_pair(usual_cranking_current_ampere: ampere, battery_count: 4, batteries: {}, has_sense: false)].each do |system|
        expect(whole(system).settled.all.keys).to eq(%w[off isolator_on key_on cranking running])
      end
    end
  end

  it 'goes together with a unit\'s own sheets: one bank, one isolator, one frame' do
    own = %w[grounds_bus glow].map { |key| Wattomneum::Circuits::Library.fetch(key) }
    assembly = Wattomneum::Circuits::Assembly.new(own + described_class.for(parallel_pair, drawn: own))
    kinds = assembly.sheet.parts.map(&:kind).tally
    expect(kinds.slice('battery', 'isolator')).to eq('battery' => 1, 'isolator' => 1)
    expect([assembly.differences, assembly.sheet.part('S1').fields['ohm']]).to eq([[], 0.00012])
    machine = Wattomneum::Circuits::Machine.new(assembly.sheet)
    expect(volts_at(machine.settled, 'E1:1', 'preglow')).to be > 10
  end

  # Common practice: a relay of 12 V lets go at about 2.5 V, one of 24 V at twice that; each battery of a pair on 24 V has 12 V.
  it 'is made for the volts of the unit' do
    made = ->(system) { described_class.drawn(system).parts }
    let_go = ->(system) { made.call(system).grep(Wattomneum::Circuits::Parts::Relay).filter_map { |relay| relay.fields['drop_out_volt'] }.max }
    expect([let_go.call(single_battery), let_go.call(series_pair)]).to eq([2.5, 5.0])
    volts = ->(system) { made.call(system).grep(Wattomneum::Circuits::Parts::Battery).map { |battery| battery.fields['volt'] } }
    expect(volts.call(series_pair).map { |volt| volt.between?(12.4, 12.9) }).to eq([true, true])
    expect(volts.call(parallel_pair).size).to eq(2)
  end

  it 'draws nothing for a unit without a battery' do
    none = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    expect([described_class.drawn(none), described_class.machine(none)]).to eq([nil, nil])
  end
end
