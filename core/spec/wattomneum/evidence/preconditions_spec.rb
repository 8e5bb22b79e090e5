# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Preconditions do
  def of(test_key, value, said, state: nil, system: parallel_pair)
    described_class.new(reading(test_key, value, system: system, position: test_key.start_with?('battery', 'rest') ? 'A' : nil,
                                                 conditions: said, **(state ? { state: state } : {})), system)
  end

  let(:all) { { 'tested_alone' => 'yes', 'surface_charge_removed' => 'yes', 'battery_temperature_celsius' => 12 } }

  it 'has nothing to object where everything was said and holds' do
    found = of('battery_test', 700.0, all)
    expect([found.objections, found.unstated, found.instead]).to eq([[], [], nil])
  end

  it 'never takes not said for yes' do
    found = of('battery_test', 700.0, all.except('tested_alone'))
    expect([found.objections, found.unstated]).to match([[], [include('Not said: tested alone')]])
    expect(found.instead).to include('Say it and the reading counts')
  end

  it 'objects to what does not hold, with the way to a reading that counts' do
    found = of('battery_test', 700.0, all.merge('tested_alone' => 'no'))
    expect([found.objections, found.instead]).to match([[include('Not so: tested alone')], include('Lift the links')])
  end

  it 'asks for a battery alone only where there is a bank' do
    expect(of('battery_test', 700.0, all.except('tested_alone'), system: single_battery).unstated).to be_empty
  end

  it 'objects to another state than the test is taken in' do
    found = of('ground_drop', 0.02, {}, state: 'key_on')
    expect([found.objections.first, found.instead]).to match([include('Taken key on, engine stopped'), 'Take it again cranking'])
  end

  # Common practice: a lost reference also reads 0.
  it 'lets a zero convict only by a meter proved before and after' do
    expect(of('starter_terminal', 0.0, {}).unstated.first).to include('meter proved')
    expect(of('starter_terminal', 0.0, { 'meter_proved' => 'yes' }).unstated).to be_empty
    expect(of('starter_terminal', 0.0, { 'meter_proved' => 'no' }).instead).to include('Prove the meter')
  end

  it 'asks nothing of the kind of a drop: nothing lost is the good answer there' do
    expect(of('ground_drop', 0.0, {}).unstated).to be_empty
  end
end
