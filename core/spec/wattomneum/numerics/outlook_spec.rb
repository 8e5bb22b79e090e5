# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::Outlook do
  def outlook(*values, every: 100) = described_class.new(values.each_with_index.map { |value, index| [index * every.to_f, value] })

  # By hand: 10 a step of 100 days; the middle of four is day 150 at 85; 25 more are 250 days on.
  it 'reaches a limit from above where the line falls, from below where it rises' do
    expect([outlook(100.0, 90.0, 80.0, 70.0).day_at(60.0, falling: true),
            outlook(70.0, 80.0, 90.0, 100.0).day_at(110.0, falling: false)]).to eq([400.0, 400.0])
  end

  it 'never reaches what lies the other way, nor what is farther off than five years' do
    falling = outlook(100.0, 90.0, 80.0, 70.0)
    expect([falling.day_at(110.0, falling: false), falling.days_at(110.0, falling: false)]).to eq([nil, [nil, nil]])
    expect(outlook(100.0, 99.9, 99.8).day_at(60.0, falling: true)).to be_nil
  end

  it 'gives the earliest before the latest, whichever way it goes' do
    falling = outlook(100.0, 93.0, 79.0, 71.0, 58.0).days_at(50.0, falling: true)
    rising = outlook(58.0, 71.0, 79.0, 93.0, 100.0).days_at(110.0, falling: false)
    expect([falling, rising].map { |days| days.compact.sort == days.compact }).to eq([true, true])
    expect(falling.first).to be < 600
  end

  it 'moves only where its interval leaves no doubt' do
    expect([outlook(100.0, 90.0, 80.0, 70.0).moves?, outlook(100.0, 101.0, 99.0, 100.0).moves?, outlook(1.0, 2.0).moves?]).to eq([true, false, false])
  end

  it 'says what is missing' do
    expect([outlook(1.0, 2.0).missing, outlook(1.0, 2.0, 3.0, every: 20).missing, outlook(1.0, 2.0, 3.0).missing])
      .to eq(['3 readings are needed, 2 count', '60 days are needed, the readings span 40', nil])
  end
end
