# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Trace do
  def trace(key) = described_class.new(Wattomneum::Circuits::Library.fetch(key))
  def roles(result) = result.ends.to_h { |one| [one.node, one.role] }

  it 'tells feeds, loads, switches and grounds at the ends of a net' do
    expect(roles(trace('fuel_pump').wire('10'))).to eq('K11:87' => 'switches', 'M2:1' => 'loads', 'B12:1' => 'loads')
    expect(roles(trace('fuel_pump').wire('15'))).to include('G9:joint' => 'grounds', 'M2:2' => 'loads')
    expect(roles(trace('start_12v').wire('16'))).to include('S2:50' => 'switches', 'K1:86' => 'loads')
    expect(roles(trace('ecu_power').wire('74'))).to eq('A1:B/6' => 'listens', 'B4:signal' => 'feeds')
  end

  it 'walks through both halves of a plug and through splices, and stops at a fuse' do
    expect(trace('ecu_power').wire('15').runs.map { |run| run.wire.number }).to match_array(%w[13 14 15 16 17 18 19 20 40])
    expect(trace('ecu_power').pin('F10:2').runs.map { |run| run.wire.number }).to eq(['8'])
  end

  it 'begins where it was asked and goes on wire by wire' do
    runs = trace('heater').pin('F8:2').runs
    expect([runs.first.wire.number, runs.first.from]).to eq(['4', 'F8:2'])
    expect(runs.map { |run| run.wire.number }).to match_array(%w[4 5 6 7 15 21])
  end

  it 'counts a wire once, in a ring too' do
    ring = sheet_of(['{ id: BAT, kind: battery }', '{ id: S1, kind: splice }', '{ id: S2, kind: splice }'],
                    ['{ number: 1, from: BAT:+, to: S1 }', '{ number: 2, from: S1, to: S2 }', '{ number: 3, from: S2, to: S1 }'])
    expect(described_class.new(ring).wire('1').runs.map { |run| run.wire.number }).to eq(%w[1 2 3])
  end

  it 'says that a wire whose pin has no connector hangs until it is ruled' do
    unit = '{ id: A, kind: control_unit, pins: [{ pin: "A/7", role: supply }, { pin: "B/7", role: ground }] }'
    loose = sheet_of(['{ id: BAT, kind: battery }', unit],
                     ['{ number: 1, from: BAT:+, to: A:7 }'])
    expect(described_class.new(loose).wire('1').ends.map(&:words)).to include('pin without its connector: to be ruled')
  end
end
