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
end
