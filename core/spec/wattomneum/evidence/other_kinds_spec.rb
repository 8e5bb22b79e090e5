# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::OtherKinds do
  let(:system) { parallel_pair(batteries: { 'A' => battery('L1', type: 'lithium'), 'B' => battery('lead') }) }

  def read(key, value, **rest) = judge(reading(key, value, system: system, **rest), system: system)

  it 'judges no lithium battery by the tables of lead and acid, and says why and by what instead' do
    judged = read('rest_voltage', 13.2, position: 'A')
    expect([judged.verdict, judged.validity, judged.convicts]).to eq(['unproven', 'void', []])
    expect([judged.summary, judged.instead]).to match([include('L1 is a lithium battery'), include('not charged below 0 degC')])
    expect(read('rest_voltage', 12.6, position: 'B').verdict).to eq('sound')
  end

  it 'judges neither the posts nor the charging of a bank with one in it, but what is commanded by its setpoint' do
    expect([read('posts_cranking', 9.0).validity, read('charging_fast_idle', 14.2).validity]).to eq(%w[void unstated])
    expect(read('charging_fast_idle', 14.2).instead).to include('Say its setpoint')
    said = all_said(Wattomneum::Readings::Catalogue.fetch('charging_fast_idle'), system).merge('setpoint_volt' => 14.2)
    expect(read('charging_fast_idle', 14.2, conditions: said).verdict).to eq('sound')
  end

  it 'judges drops as ever: copper knows no chemistry' do
    expect(read('ground_drop', 9.0).verdict).to eq('act')
  end

  it 'asks for no lead-acid test of it' do
    silent = [reading('cranking_behaviour', 'jerk', system: system), reading('connections_look', 'clean', system: system)]
    expect(assess(silent, system: system).next_step.position).to eq('B')
  end
end
