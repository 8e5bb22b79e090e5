# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::PinReading do
  subject(:reading) { described_class.new(machine) }

  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }

  it 'says what stands at a coolant sensor plugged and unplugged' do
    running = reading.at('B4:signal').last
    expect([running.loaded_volt.round(1), running.unloaded_volt.round(1)]).to eq([2.3, 5.0])
  end

  it 'knows that the main relay never pulls in with the control unit unplugged' do
    expect(reading.at('A1:A/1').last.then { |one| [one.loaded_volt.round, one.unloaded_volt] }).to eq([25, 0.0])
  end

  it 'calls a wire that nothing leads to floating' do
    sheet = sheet_of(['{ id: BAT, kind: battery }', '{ id: S, kind: switch, closed_in: [key_on] }', '{ id: X, kind: connector, ways: 1 }'],
                     ['{ number: 1, from: BAT:+, to: S:1 }', '{ number: 2, from: S:2, to: X:a/1 }'])
    states = described_class.new(settled(sheet)).at('X:b/1').to_h { |one| [one.key_state, [one.floating, one.loaded_volt.round(2)]] }
    expect(states).to include('off' => [true, 0.0], 'key_on' => [false, 12.65])
  end

  # Common practice, follows from Ohm's law: 12 V behind 1.5 Mohm shows about 10.4 V on a 10 Mohm meter and nothing under a lamp.
  it 'shows 10.4 V behind 1.5 Mohm on a meter, and next to nothing on a lamp' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: R, kind: resistor, ohm: 1500000 }', '{ id: X, kind: connector, ways: 1 }'],
                     ['{ number: 1, from: BAT:+, to: R:1 }', '{ number: 2, from: R:2, to: X:a/1 }'])
    expect(described_class.new(settled(sheet)).at('X:b/1').first.loaded_volt).to be_within(0.05).of(10.4)
    lamp = Wattomneum::Circuits::Questions::Instruments.new(settled(sheet)).lamp('X:b/1', 'BAT:-', key_state: 'off')
    expect([lamp.volt, lamp.bright_ratio]).to all(be < 0.001)
  end
end
