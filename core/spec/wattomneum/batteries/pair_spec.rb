# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::Pair do
  it 'finds batteries more than 15 % of rating or 0.2 V apart' do
    expect(described_class.mismatches(health_percents: [95, 78], rest_volts: [12.6, 12.35]).size).to eq(2)
    expect(described_class.mismatches(health_percents: [95, 80], rest_volts: [12.6, 12.4])).to be_empty
  end

  it 'never mixes types in one bank' do
    expect(described_class.mixed_types(%w[flooded agm])).to include('AGM')
    expect(described_class.mixed_types(%w[flooded maintenance_free])).to be_nil
    expect(described_class.mixed_types(%w[agm gel])).to include('gel')
  end

  it 'replaces the set in one school whatever the partner is' do
    expect(described_class.advice(school: 'set', partner_health_percent: 99, partner_age_months: 1)).to eq(:replace_set)
  end

  it 'keeps a partner that is young and strong in the other school' do
    advice = ->(health, months) { described_class.advice(school: 'failed_one', partner_health_percent: health, partner_age_months: months) }
    expect([advice.call(92, 8), advice.call(92, 14), advice.call(80, 8), advice.call(nil, 8)])
      .to eq(%i[replace_failed_one replace_set replace_set replace_set])
  end

  it 'keeps no partner that is just a year old, or just at what is sound' do
    advice = ->(health, months) { described_class.advice(school: 'failed_one', partner_health_percent: health, partner_age_months: months) }
    expect([advice.call(92, 11.9), advice.call(92, 12), advice.call(85.1, 8), advice.call(85, 8)])
      .to eq(%i[replace_failed_one replace_set replace_failed_one replace_set])
  end

  it 'says how far apart they are and how far they may be, by cells on 6 V' do
    expect(described_class.mismatches(health_percents: [95.04, 78], rest_volts: [12.6, 12.349]))
      .to eq(['17.04 % apart, limit 15 %', '0.25 V apart, limit 0.2 V'])
    expect(described_class.mismatches(rest_volts: [6.3, 6.15], blocks: 0.5)).to eq(['0.15 V apart, limit 0.1 V'])
    expect(described_class.mismatches(health_percents: [40], rest_volts: [12.6])).to eq([])
  end
end
