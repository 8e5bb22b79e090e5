# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Judging do
  it 'keeps a reading whose condition was not met, marks it void and says what to do instead' do
    said = { 'tested_alone' => 'no', 'surface_charge_removed' => 'yes', 'battery_temperature_celsius' => 20 }
    judged = judge(reading('rest_voltage', 12.6, position: 'A'), reading('battery_test', 400.0, position: 'A', conditions: said))
    expect([judged.verdict, judged.validity, judged.weight, judged.would_be]).to eq(%w[unproven void none act])
    expect(judged.instead).to include('Lift the links')
    expect([judged.convicts, judged.rules_in]).to eq([[], []])
  end

  it 'leaves it unproven while a condition was not said' do
    said = { 'surface_charge_removed' => 'yes', 'battery_temperature_celsius' => 20 }
    judged = judge(reading('rest_voltage', 12.6, position: 'A'), reading('battery_test', 780.0, position: 'A', conditions: said))
    expect([judged.verdict, judged.validity]).to eq(%w[unproven unstated])
    expect(judged.reasons).to include('Not said: tested alone')
  end

  it 'voids a reading taken in another state than its test is for' do
    judged = judge(reading('ground_drop', 0.1, state: 'off'))
    expect([judged.validity, judged.reasons.first]).to eq(['void', 'Taken engine stopped; this test is cranking'])
  end

  it 'asks for a proved meter behind a zero that would convict a feed' do
    zero = ->(said) { reading('sense_feed', 0.0, conditions: { 'load_on' => 'yes', 'value_confirmed' => 'yes' }.merge(said)) }
    expect(judge(zero.call({})).validity).to eq('unstated')
    expect(judge(zero.call('meter_proved' => 'yes')).verdict).to eq('act')
    # Posts read by the same meter in the same moment prove it as well.
    expect(judge(zero.call('posts_now_volt' => 12.4)).verdict).to eq('act')
  end

  it 'names limit id, value and source in every verdict that used one' do
    judged = judge(*ground_work(behaviour: 'slow', cranking_volt: 10.9), reading('ground_drop', 0.9))
    limit = judged.limits.find { |row| row.id == 'drop.ground_cranking' }
    expect([limit.row_id, limit.value, limit.source_kind]).to eq(['drop.ground_cranking@12', 0.3, 'practice'])
  end

  it 'gives a plain hash to keep as a snapshot' do
    snapshot = judge(reading('posts_rest', 12.6)).to_h
    expect(snapshot).to include(verdict: 'sound', weight: 'hint')
    expect(snapshot[:limits].first).to include(id: 'battery.charge_least', row_id: 'battery.charge_least')
  end
end
