# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::Spare do
  def spare(percent, days, type: 'flooded', celsius: 20.0)
    described_class.new(type: type, celsius: celsius, known: described_class::Known.new(how: 'read', percent: percent, days: days))
  end

  # 6 % a month at 20 degC: full, it wants charging after 127 days.
  it 'wants charging once it has fallen to 75 %' do
    expect([spare(100.0, 60).charge_percent, spare(100.0, 60).days_left]).to match([be_within(0.1).of(88.2), be_within(0.5).of(66.8)])
    expect([spare(100.0, 126), spare(100.0, 128), spare(74.0, 0)].map(&:wants_charge?)).to eq([false, true, true])
  end

  it 'wants charging where nobody knows what it has, or what its kind loses' do
    expect(described_class.new(type: 'flooded', known: nil)).to have_attributes(charge_percent: nil, days_left: nil, wants_charge?: true)
    expect(spare(100.0, 1, type: 'lithium')).to have_attributes(charge_percent: nil, wants_charge?: true)
  end

  it 'takes the charge from its volts at rest by type, of three cells as of six' do
    charges = [['flooded', 12.45], ['agm', 12.6], ['flooded', 6.225]].map { |type, volt| described_class.charge_of(type, volt) }
    expect(charges).to all(be_within(1e-6).of(75))
  end

  it 'goes by what is known last: read, charged, or as a unit left it' do
    known = described_class.known('flooded', read: [12.45, 30.0], charged: 40.0, left: 90.0)
    expect([known.how, known.percent, known.days]).to match(['read', be_within(1e-6).of(75), 30.0])
    expect(described_class.known('flooded', read: [12.45, 30.0], charged: 2.0)).to have_attributes(how: 'charged', percent: 100.0)
    expect(described_class.known('agm', left: 5.0)).to have_attributes(how: 'left', percent: 89.0)
    expect(described_class.known('gel')).to be_nil
  end

  it 'asks about volts that no battery rests at, of six cells or of three' do
    expect(described_class.question(12_450.0).options.map { |option| option[:value] }).to eq([nil, 12.45])
    expect([12.45, 6.3].map { |volt| described_class.question(volt) }).to eq([nil, nil])
    expect(described_class.question(3.2)).not_to be_nil
  end

  it 'lasts longer in the cold store' do
    expect(spare(100.0, 0, celsius: 5.0).days_left).to be > (2.5 * spare(100.0, 0).days_left)
  end
end
