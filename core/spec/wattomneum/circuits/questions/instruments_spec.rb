# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::Instruments do
  def divider(ohm)
    parts = ['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', "{ id: R, kind: resistor, ohm: #{ohm} }",
             '{ id: S, kind: switch, closed_in: [key_on] }']
    sheet_of(parts,
             ['{ number: 1, from: BAT:+, to: S:1, ohm: 0.01 }', '{ number: 2, from: S:2, to: R:1, ohm: 0.01 }'])
  end

  def meter(ohm) = described_class.new(settled(divider(ohm)))

  # A larger fault resistance never raises the volts of a meter or of a lamp behind it.
  it 'shows less behind more resistance, on a meter and on a lamp' do
    faults = [1, 100, 10_000, 1_000_000]
    on_meter = faults.map { |ohm| meter(ohm).volts('R:2', 'BAT:-', key_state: 'key_on').volt }
    on_lamp = faults.map { |ohm| meter(ohm).lamp('R:2', 'BAT:-', key_state: 'key_on').volt }
    expect([on_meter, on_lamp]).to eq([on_meter.sort.reverse, on_lamp.sort.reverse])
    expect([on_meter[2].round(1), on_lamp[2].round(1)]).to eq([12.0, 0.0])
  end

  it 'lets a lamp glow hot where it gets its volts and stay a tenth of that where it does not' do
    bright = meter(0.2).lamp('R:2', 'BAT:-', key_state: 'key_on')
    dark = meter(100).lamp('R:2', 'BAT:-', key_state: 'key_on')
    expect([bright.volt / bright.ampere, dark.volt / dark.ampere].map { |ohm| ohm.round(2) }).to eq([6.86, 0.69])
  end

  it 'reads the ohms of a part on a dead circuit, OL over 40 Mohm' do
    expect(meter(4700).ohms('R:1', 'R:2', key_state: 'off').ohm).to be_within(1).of(4700)
    expect(meter(39_000_000).ohms('R:1', 'R:2', key_state: 'off').over_range).to be(false)
    expect(meter(41_000_000).ohms('R:1', 'R:2', key_state: 'off').over_range).to be(true)
  end

  it 'refuses ohms with volts across the points' do
    expect { meter(10).ohms('BAT:+', 'BAT:-', key_state: 'off') }.to raise_error(Wattomneum::RefusedError, /ohms are void/)
  end

  it 'refuses pins that are not there' do
    expect { meter(10).volts('R:9', 'BAT:-', key_state: 'off') }.to raise_error(Wattomneum::UnknownKeyError, /no pin R:9/)
  end

  context 'with the shipped control-unit sheet' do
    let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
    let(:circuit) { machine.circuit }

    it 'refuses ohms on a live circuit and reads them on a dead one' do
      meter = described_class.new(machine)
      expect { meter.ohms('BAT:+', 'BAT:-', key_state: 'key_on') }.to raise_error(Wattomneum::RefusedError, /ohms are void/)
      expect(meter.ohms('Y1:1', 'Y1:2', key_state: 'off').ohm).to be_within(0.1).of(24)
    end

    it 'clamps a wire, and no component with several ways through it' do
      meter = described_class.new(machine)
      expect(meter.amperes(circuit.item('wire 2'), key_state: 'running').ampere.abs).to be_between(5, 15)
      expect { meter.amperes(circuit.item('SP1'), key_state: 'running') }.to raise_error(Wattomneum::RefusedError, /several ways/)
    end
  end
end
