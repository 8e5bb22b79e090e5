# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::LoadAdequacy do
  it 'says that a 2 A lamp on 12 V shows 0.6 ohm at best' do
    expect(described_class.smallest_revealed_ohm(supply_volt: 12.0, load_ampere: 2.0)).to be_within(1e-9).of(0.6)
  end

  it 'says that 0.7 mohm fail a path of 0.5 V at 700 A' do
    expect(described_class.failing_ohm(limit_volt: 0.5, working_ampere: 700.0)).to be_within(0.00005).of(0.0007)
  end

  it 'refuses a load that draws nothing' do
    expect { described_class.smallest_revealed_ohm(supply_volt: 12.0, load_ampere: 0.0) }.to raise_error(Wattomneum::InvalidQuantityError)
  end

  it 'calls a lit lamp on a starter cable a hint that proves nothing, and names a load that fits' do
    judged = judge(reading('cable_lamp', 'bright'))
    expect([judged.verdict, judged.weight]).to eq(%w[unproven hint])
    expect(judged.instead).to include('300 to 500 A')
  end

  it 'lets a dark lamp convict' do
    expect(judge(reading('cable_lamp', 'dark')).verdict).to eq('act')
  end
end
