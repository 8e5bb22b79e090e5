# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::PathFinder do
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
end
