# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::Workings do
  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
  let(:sound) { described_class.new(machine) }

  def watch(key) = machine.circuit.watches.find { |one| one.key == key }
  def with_open(*keys) = described_class.new(keys.reduce(machine) { |state, key| state.opening(machine.circuit.item(key)) })

  it 'calls dead what should work and does not, and nothing else' do
    broken = with_open('wire 48')
    expect(%w[Y1 Y2].map { |key| broken.change(watch(key), 'running', sound) }).to eq([:dead, nil])
    expect(broken.change(watch('Y1'), 'isolator_on', sound)).to be_nil
  end

  it 'calls dead what is open inside, though it has all its volts: a coil that does not click, a motor that does not turn' do
    pump = settled(Wattomneum::Circuits::Library.fetch('fuel_pump'))
    dead = lambda do |item|
      open = pump.opening(pump.circuit.item(item))
      pump.circuit.watches.select { |one| described_class.new(open).change(one, 'running', described_class.new(pump)) == :dead }.map(&:key)
    end
    expect([dead.call('K11 coil'), dead.call('M2')]).to contain_exactly(match_array(%w[K11 M2 B12]), ['M2'])
    open_motor = described_class.new(pump.opening(pump.circuit.item('M2')))
    expect(open_motor.volt(pump.circuit.watches.find { |one| one.key == 'M2' }, 'running')).to be > 11
  end

  it 'calls a signal moved over a quarter of a volt, and never dead' do
    open_supply = with_open('wire 61')
    expect(open_supply.change(watch('A1:B/3'), 'running', sound)).to eq(:moved)
    expect(open_supply.change(watch('A1:B/4'), 'running', sound)).to be_nil
  end

  # A thermistor that is open reads the whole reference; a missing return reads the same: only measuring tells them apart.
  it 'reads 5 V on the signal of an open coolant sensor and of its open return alike' do
    volts = [%w[B4], ['wire 68'], ['SP4']].map { |keys| with_open(*keys).volt(watch('A1:B/6'), 'running').round(1) }
    expect(volts.first(2)).to eq([5.0, 5.0])
    expect(volts.last).to be > 3
  end

  it 'calls alive what works and should not' do
    sheet = sheet_of(['{ id: BAT, kind: battery }', '{ id: K, kind: relay, coil_ohm: 80, changeover: true }', '{ id: L, kind: load, ohm: 6 }'],
                     ['{ number: 1, from: BAT:+, to: K:86 }', '{ number: 2, from: K:85, to: BAT:- }', '{ number: 3, from: BAT:+, to: K:30 }',
                      '{ number: 4, from: K:87a, to: L:1 }', '{ number: 5, from: L:2, to: BAT:- }'])
    whole = settled(sheet)
    lamp = whole.circuit.watches.find { |one| one.key == 'L' }
    broken = described_class.new(whole.opening(whole.circuit.item('wire 2')))
    expect(broken.change(lamp, 'running', described_class.new(whole))).to eq(:alive)
  end

  it 'takes what hangs in the air for 0 V' do
    expect(with_open('wire 44', 'wire 48').volt(watch('Y1'), 'running')).to eq(0.0)
  end

  # By hand: of 12.65 V a coil of 85 ohm behind 170 ohm has 4.2 V: under the 7.2 V it pulls in by, over the 2.4 V it lets go at.
  it 'calls at work a relay that is held by less than it pulls in by, and not one that was never pulled in' do
    held = lambda do |pulled_in|
      machine = settled(sheet_of(['{ id: BAT, kind: battery }', '{ id: K1, kind: relay, coil_ohm: 85 }', '{ id: R1, kind: resistor, ohm: 170 }',
                                  "{ id: S1, kind: switch, closed_in: [#{pulled_in}] }"],
                                 ['{ number: 1, from: BAT:+, to: R1:1 }', '{ number: 2, from: R1:2, to: K1:86 }',
                                  '{ number: 3, from: K1:85, to: BAT:- }',
                                  '{ number: 4, from: BAT:+, to: S1:1 }', '{ number: 5, from: S1:2, to: K1:86 }']))
      relay = machine.circuit.watches.find { |one| one.key == 'K1' }
      %w[off key_on running].map { |state| described_class.new(machine).works?(relay, state) }
    end
    expect([held.call('key_on'), held.call('')]).to eq([[false, true, true], [false, false, false]])
  end
end
