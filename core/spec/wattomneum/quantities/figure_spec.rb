# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Figure do
  it 'writes figures as a good meter shows them' do
    said = [described_class.volt(12.6), described_class.volt(0.0451), described_class.volt(0.0), described_class.ampere(652.4),
            described_class.ampere(0.12), described_class.ohm(0.00249), described_class.ohm(1_500_000), described_class.percent(81.18),
            described_class.celsius(-18.0)]
    expect(said).to eq(['12.60 V', '45.1 mV', '0.00 V', '652 A', '120 mA', '2.49 mohm', '1.5 Mohm', '81 %', '-18 degC'])
  end

  it 'says how far a figure may be off in the unit of the figure itself' do
    volt = ->(value) { described_class.volt(value) }
    said = [[0.21, 0.0728], [10.6, 0.15], [0.045, 0.0032], [0.08, 0.2]].map { |value, spread| described_class.give_or_take(value, spread, &volt) }
    expect(said).to eq(['0.21 V, give or take 0.07 V', '10.60 V, give or take 0.15 V', '45 mV, give or take 3.2 mV', '80 mV, give or take 200 mV'])
    expect(described_class.give_or_take(0.0, 0.05, &volt)).to eq('0.00 V, give or take 50 mV')
    expect(described_class.give_or_take(650.0, 35.6) { |value| described_class.ampere(value) }).to eq('650 A, give or take 36 A')
  end

  it 'says milliamperes below one ampere and amperes from there on, with a tenth below twenty' do
    said = [0.999, -0.5, 1.0, 1.04, -1.5, 19.94, 20.0, 20.4].map { |value| described_class.ampere(value) }
    expect(said).to eq(['999 mA', '-500 mA', '1 A', '1 A', '-1.5 A', '19.9 A', '20 A', '20 A'])
  end

  it 'changes to millivolts below a tenth of a volt, and to the next prefix at a thousand ohms' do
    expect([0.0999, -0.0999, 0.1, -0.1].map { |volt| described_class.volt(volt) }).to eq(['99.9 mV', '-99.9 mV', '0.10 V', '-0.10 V'])
    expect([0.999, 1.0, 999.0, 1000.0, 999_000.0, 1e6].map { |ohm| described_class.ohm(ohm) })
      .to eq(['999 mohm', '1 ohm', '999 ohm', '1 kohm', '999 kohm', '1 Mohm'])
  end
end
