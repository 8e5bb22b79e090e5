# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::SelfDischarge do
  # Worked by hand: 6 % a month at 20 degC is 6 / 30.44 = 0.1971 % a day.
  it 'loses a fifth of a percent a day flooded at 20 degC, half of that at 10' do
    expect(described_class.new(type: 'flooded', celsius: 20.0).percent_a_day).to be_within(0.0001).of(0.1971)
    expect(described_class.new(type: 'flooded', celsius: 10.0).percent_a_day).to be_within(0.0001).of(0.0986)
  end

  it 'falls from full to 75 % in 127 days at 20 degC, and has 88 % after two months' do
    warm = described_class.new(type: 'flooded', celsius: 20.0)
    expect(warm.days_to(75.0, from_percent: 100.0)).to be_within(0.5).of(126.8)
    expect(warm.charge_percent(from_percent: 100.0, days: 60.88)).to be_within(0.01).of(88.0)
  end

  it 'is never under nothing, and due at once where it has fallen so far already' do
    cold = described_class.new(type: 'gel')
    expect([cold.charge_percent(from_percent: 5.0, days: 10_000), cold.days_to(75.0, from_percent: 60.0)]).to eq([0.0, 0.0])
  end

  it 'keeps longer the better sealed it is: flooded, maintenance-free, AGM, gel' do
    losses = %w[flooded maintenance_free agm gel].map { |type| described_class.new(type: type).percent_a_day }
    expect(losses).to eq(losses.sort.reverse)
  end

  it 'knows nothing of lithium, and of no type' do
    expect { described_class.new(type: 'lithium') }.to raise_error(Wattomneum::InvalidQuantityError, /lithium/)
    expect { described_class.new(type: 'at_celsius') }.to raise_error(Wattomneum::InvalidQuantityError)
    expect(%w[agm capacitor at_celsius].map { |type| described_class.known?(type) }).to eq([true, false, false])
  end
end
