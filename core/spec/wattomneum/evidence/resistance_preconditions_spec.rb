# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::ResistancePreconditions do
  def objections(ohm, volt: 0.0, reversed: nil)
    described_class.objections(resistance_ohm: ohm, voltage_across_volt: volt, reversed_ohm: reversed)
  end

  it 'believes ohms on a dead circuit that agree with the leads reversed' do
    expect(objections(120.0, volt: 0.0005, reversed: 121.0)).to be_empty
  end

  it 'allows 50 mV across large values and 1 mV across small ones' do
    expect(objections(5000.0, volt: 0.04)).to be_empty
    expect(objections(60.0, volt: 0.04).first).to include('40 mV across')
  end

  it 'refuses ohms that differ by more than 5 % with the leads reversed' do
    expect(objections(100.0, reversed: 110.0).first).to include('drives or rectifies')
  end

  it 'voids ohms of the signal wire with volts on it' do
    said = { 'power_off' => 'yes', 'voltage_across_volt' => 0.02, 'reversed_ohm' => 2.0, 'value_confirmed' => 'yes' }
    expect(judge(reading('signal_wire_ohms', 2.0, conditions: said)).validity).to eq('void')
  end

  it 'takes 0.1 ohm as a hint only, and OL as a conviction' do
    said = { 'power_off' => 'yes', 'voltage_across_volt' => 0.0, 'reversed_ohm' => 0.1 }
    expect(judge(reading('signal_wire_ohms', 0.1, conditions: said)).traps.first).to include('one strand')
    open_wire = reading('signal_wire_ohms', nil, overload: true, conditions: said)
    expect([judge(open_wire).verdict, judge(open_wire).weight]).to eq(%w[act support])
  end

  it 'convicts a wire with ohms in it' do
    said = { 'power_off' => 'yes', 'voltage_across_volt' => 0.0, 'reversed_ohm' => 4.0, 'value_confirmed' => 'yes' }
    expect(judge(reading('signal_wire_ohms', 4.0, conditions: said)).verdict).to eq('act')
  end
end
