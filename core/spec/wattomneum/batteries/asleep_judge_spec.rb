# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::AsleepJudge do
  def asleep(ampere, system: parallel_pair, **said)
    judge(reading('draw_asleep', ampere, conditions: { 'asleep_waited' => 'yes', **said.transform_keys(&:to_s) }), system: system)
  end

  # 50 mA of a car-like unit, 120 mA of a truck with telematics: common practice, handbook chapter on batteries.
  it 'tells little from what a truck may take, and both from too much' do
    expect([0.03, 0.09, 0.4].map { |ampere| asleep(ampere).verdict }).to eq(%w[sound watch act])
  end

  it 'decides nothing within what the clamp may be off' do
    expect([0.054, 0.125].map { |ampere| asleep(ampere).verdict }).to eq(%w[sound watch])
  end

  it 'goes by what may stay awake on this unit where somebody added that up' do
    expect([0.15, 0.3].map { |ampere| asleep(ampere, asleep_allowed_milliampere: 200).verdict }).to eq(%w[sound act])
    expect(asleep(0.3, asleep_allowed_milliampere: 200).limits).to be_empty
  end

  # By hand: (89 - 50) % of two batteries of 90 Ah is 70.2 Ah, less a fifth 56.2 Ah; 0.2 A takes 4.8 Ah a day: 11.7 days.
  it 'counts the days to half charge' do
    expect(asleep(0.2).figures.fetch(:days_to_half)).to be_within(1e-9).of(11.7)
    expect(asleep(0.2).summary).to eq('200 mA asleep: something stays awake: half flat after 11 days')
    expect(asleep(2.9).summary).to end_with('half flat within a day')
  end

  it 'tells nothing of a unit that was still awake' do
    awake = judge(reading('draw_asleep', 0.03, conditions: { 'asleep_waited' => 'no' }))
    expect([awake.verdict, awake.validity]).to eq(%w[unproven void])
    expect(judge(reading('draw_asleep', 0.03, conditions: {}))).to have_attributes(verdict: 'unproven', validity: 'unstated', would_be: 'sound')
  end

  it 'counts no days for a pack that brings its own management' do
    pack = Wattomneum::Units::ElectricalSystem.new(system_volt: 48, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0)
    expect(asleep(0.2, system: pack).figures.fetch(:days_to_half)).to be_nil
  end
end
