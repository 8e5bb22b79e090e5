# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Machine do
  it 'finds the places of a start loop in the order in which current meets them, on 12 V and on 24 V' do
    %w[start_12v start_24v].each do |key|
      machine = described_class.new(Wattomneum::Circuits::Library.fetch(key))
      start = machine.loops.first
      expect([start.feed.map(&:role), start.return.map(&:role)])
        .to eq([%w[positive_post isolator_in isolator_out starter_stud], %w[starter_case engine_block frame negative_post]])
      expect(start.feed.first.nodes).to start_with(machine.sheet.places['positive_post']).and end_with(machine.sheet.places['isolator_in'])
    end
  end

  it 'follows a unit\'s own wires: a longer starter cable drops more' do
    sheet = Wattomneum::Circuits::Library.fetch('start_12v')
    longer = described_class.new(sheet.with_overrides(sheet.wire('4').uuid => { 'length_m' => 6.0 }))
    drop = ->(machine) { machine.paths('cranking').to_battery('K2:30').steps.sum(&:drop_volt).abs }
    expect(drop.call(longer)).to be > drop.call(described_class.new(sheet)) + 0.2
  end

  # Common practice: 10 V and more at the posts of a healthy pair while cranking, within 0.5 V of them at the starter stud, and at
  # most 0.3 V on the ground side. The shipped sheet is a healthy machine.
  it 'cranks as a healthy machine does' do
    machine = described_class.new(Wattomneum::Circuits::Library.fetch('start_12v'))
    volt = ->(pin) { volts_at(machine.settled, pin, 'cranking') }
    expect(volt.call('BAT_A:+')).to be > 10.0
    expect(volt.call('BAT_A:+') - volt.call('K2:30')).to be_between(0.05, 0.5)
    expect(volt.call('M1:case')).to be_between(0.02, 0.3)
  end

  # The trade's classic: the main relay is fed before the isolator, and an open isolator leaves its contact live.
  it 'names what an open isolator does not make dead' do
    past = ->(key) { described_class.new(Wattomneum::Circuits::Library.fetch(key)).live_past_isolator.map(&:id) }
    expect(past.call('main_feed')).to eq(%w[F40 F41 F42 K20 A1])
    expect(past.call('heater')).to include('U3')
    expect([past.call('start_24v'), past.call('ecu_power'), past.call('genset')]).to eq([[], [], []])
    pins = described_class.new(Wattomneum::Circuits::Library.fetch('main_feed')).live_with(nil, key_state: 'off').map(&:pin)
    expect(pins).to include('K20:30', 'A1:1', 'S20:1').and not_include('K20:87', 'S2:30', 'E20:1')
  end

  # The drops that a job measures are those that the circuit has: the same joint, the same volts.
  it 'shows the volts of a bad strap where a meter would read them' do
    sheet = Wattomneum::Circuits::Library.fetch('start_12v')
    bad = described_class.new(sheet.with_overrides(sheet.wire('strap').uuid => { 'ohm' => 0.002 }))
    meter = Wattomneum::Circuits::Questions::Instruments.new(bad.settled)
    expect(meter.volts('BLOCK:metal', 'FRAME:metal', key_state: 'cranking').volt).to be > 0.8
  end
end
