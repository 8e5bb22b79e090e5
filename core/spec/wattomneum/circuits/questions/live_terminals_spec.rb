# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::LiveTerminals do
  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
  let(:circuit) { machine.circuit }

  it 'lists what an isolator leaves live: the heater that hangs straight on the battery' do
    heater = settled(Wattomneum::Circuits::Library.fetch('heater'))
    pins = described_class.new(heater).with(nil, key_state: 'off').map(&:pin)
    expect(pins).to include('U3:A/1', 'L8:1')
    expect(pins).not_to include('M3:1')
  end

  it 'lists what a pulled fuse leaves live and how each is fed' do
    live = described_class.new(machine).with(circuit.item('F10'), key_state: 'running')
    expect(live.map(&:pin)).to include('K10:86', 'F11:2').and(not_include('A1:A/1', 'K10:30'))
    expect(live.find { |one| one.pin == 'K10:86' }.path.steps.map(&:item)).to include('F11', 'F1')
  end

  # By hand: each diode takes 0.7 V of 12.65 V; against its direction nothing passes.
  it 'lists the dead end of a row of diodes that lets it through, with what a meter shows there, and not the one that blocks' do
    row = lambda do |ends|
      wires = ends.each_with_index.map { |(from, to), at| "{ number: #{at}, from: #{from}, to: #{to} }" }
      parts = ['{ id: BAT, kind: battery }', '{ id: D1, kind: diode }', '{ id: D2, kind: diode }', '{ id: X1, kind: stud }']
      described_class.new(settled(sheet_of(parts, wires))).with(nil, key_state: 'off').to_h { |one| [one.pin, one.volt.round(2)] }
    end
    expect(row.call([%w[BAT:+ D1:a], %w[D1:k D2:a], %w[D2:k X1]])).to eq('BAT:+' => 12.65, 'D1:a' => 12.65, 'D1:k' => 11.95, 'D2:a' => 11.95,
                                                                         'D2:k' => 11.25, 'X1:joint' => 11.25)
    expect(row.call([%w[BAT:+ D1:k], %w[D1:a D2:k], %w[D2:a X1]]).keys).to eq(['BAT:+', 'D1:k'])
  end
end
