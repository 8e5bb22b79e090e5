# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::PathFinder do
  def finder(key, state) = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key)).paths(state)
  def items(path) = path.steps.map(&:item).uniq

  it 'names the second station\'s own way to the start relay, and what both stations share' do
    here = items(finder('genset', 'start_here').to_supply('K5:86'))
    house = items(finder('genset', 'start_house').to_supply('K5:86'))
    expect(here - house).to contain_exactly('wire 10', 'wire 11', 'S14')
    expect(house - here).to include('S15', 'wire 13', 'wire 14')
    expect(here & house).to include('F1', 'S16', 'S17')
  end

  it 'ends at the reference inside the control unit for a sensor\'s supply' do
    path = finder('ecu_power', 'running').to_supply('B1:supply')
    expect([items(path), path.ends_at]).to eq([['wire 61', 'SP3', 'wire 60'], 'A1:B/1'])
  end

  it 'finds the bank whatever else feeds the pin: an alternator is its own source' do
    running = finder('charge_12v', 'running')
    expect(running.to_supply('G:B+').ends_at).to eq('G:B+')
    expect(running.to_battery('G:B+').ends_at).to eq('BAT:+')
    expect(items(running.to_battery('G:B+'))).to include('FL1', 'S1')
  end

  it 'prefers a longer closed way to a shorter open one, and says of an open one what would close it' do
    path = finder('genset', 'off').to_supply('K5:86')
    expect(path.complete).to be(false)
    expect(path.steps.select(&:open).map { |step| [step.item, step.why] }).to eq([['S14', 'closed in: Start at the set']])
  end

  it 'says of a blown fuse that it has blown' do
    sheet = sheet_of(['{ id: BAT, kind: battery, ohm: 0.01 }', '{ id: F, kind: fuse, rating_ampere: 5 }', '{ id: L, kind: load, ohm: 0.5 }'],
                     ['{ number: 1, from: BAT:+, to: F:1 }', '{ number: 2, from: F:2, to: L:1 }', '{ number: 3, from: L:2, to: BAT:- }'])
    path = Wattomneum::Circuits::Machine.new(sheet).paths('running').to_supply('L:1')
    expect(path.steps.find(&:open).why).to eq('F has blown')
  end

  it 'has no way where nothing was drawn' do
    sheet = sheet_of(['{ id: BAT, kind: battery }', '{ id: X, kind: connector, ways: 1 }'], [])
    path = Wattomneum::Circuits::Machine.new(sheet).paths('running').to_supply('X:a/1')
    expect([path.complete, path.ends_at, path.steps]).to eq([false, nil, []])
  end

  it 'counts the current towards ground as positive and towards supply as negative' do
    running = finder('fuel_pump', 'running')
    expect(running.to_ground('M2:2').steps.map(&:ampere)).to all(be_positive)
    expect(running.to_supply('M2:1').steps.map(&:ampere)).to all(be_negative)
  end

  context 'with the shipped control-unit sheet' do
    let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
    let(:circuit) { machine.circuit }

    def path(state, question, pin) = described_class.new(circuit, machine.fetch(state)).public_send(question, pin)

    it 'names every fuse, plug, splice and contact from a control-unit pin back to the battery, in order' do
      found = path('running', :to_supply, 'A1:A/1')
      expect(found.steps.map(&:item)).to eq(['wire 18', 'X6', 'wire 15', 'SP1', 'SP1', 'wire 14', 'X5', 'wire 13', 'K10', 'wire 8', 'F10', 'wire 5',
                                             'F1', 'wire 3', 'S1', 'S1', 'S1', 'wire 1', 'BAT'])
      expect([found.complete, found.ends_at]).to eq([true, 'BAT:+'])
      expect(found.steps.map(&:ampere)).to all(be_negative)
    end

    it 'names the way to ground through straps and studs' do
      expect(path('running', :to_ground, 'A1:A/4').steps.map(&:item)).to eq(['wire 21', 'G6', 'G6', 'wire strap_block', 'G2', 'G2', 'wire 2', 'BAT'])
    end

    it 'says where the way is interrupted in this state, and by what' do
      open = path('isolator_on', :to_supply, 'A1:A/1').steps.select(&:open)
      expect(open.map { |step| [step.item, step.why] }).to eq([['K10', 'K10 is not pulled in']])
      key = path('isolator_on', :to_supply, 'A1:A/20').steps.find(&:open)
      expect(key.why).to include('closed in: Key on')
    end

    it 'goes to ground through the pin\'s own coil' do
      steps = path('isolator_on', :to_ground, 'K10:86').steps
      expect([steps.first.label, steps.find(&:open).item]).to eq(['K10 Main relay, coil', 'A1'])
    end

    it 'adds its drops up to the volts at the pin' do
      steps = path('running', :to_supply, 'A1:A/1').steps
      at_pin = volts_at(machine, 'A1:A/1', 'running')
      expect(at_pin - steps.sum(&:drop_volt)).to be_within(1e-9).of(volts_at(machine, 'BAT:+', 'running'))
    end
  end
end
