# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::Trace do
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

  context 'with the shipped control-unit sheet' do
    subject(:trace) { described_class.new(circuit.sheet) }

    let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
    let(:circuit) { machine.circuit }

    it 'follows one return through its splice to all that share it' do
      found = trace.wire('66')
      expect(found.runs.map { |run| run.wire.number }).to match_array(%w[64 65 66 67 68 69 70])
      expect(found.ends.map(&:node)).to include('A1:B/2', 'B1:return', 'B6:return')
    end

    it 'follows a wire through plugs, tells who listens, and where it goes on' do
      found = trace.wire('27')
      expect(found.runs.map { |run| run.wire.number }).to match_array(%w[26 27 28])
      expect(found.listeners.map { |one| [one.node, one.words] }).to eq([['A1:A/20', 'input']])
      expect(found.links.map { |link| [link.sheet, link.at] }).to eq([['fuel_pump', 'S2:15']])
      expect(found.length_m).to be_within(1e-9).of(4.5)
    end

    it 'refuses a wire and a pin that are not there' do
      expect { trace.wire('999') }.to raise_error(Wattomneum::UnknownKeyError, /no wire 999/)
      expect { trace.pin('A1:Z/9') }.to raise_error(Wattomneum::UnknownKeyError, %r{no pin A1:Z/9})
    end
  end
end
