# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Figure do
  it 'writes figures as a good meter shows them' do
    said = [described_class.volt(12.6), described_class.volt(0.0451), described_class.volt(0.0), described_class.ampere(652.4),
            described_class.ampere(0.12), described_class.ohm(0.00249), described_class.ohm(1_500_000), described_class.percent(81.18),
            described_class.celsius(-18.0)]
    expect(said).to eq(['12.60 V', '45.1 mV', '0.00 V', '652 A', '120 mA', '2.49 mohm', '1.5 Mohm', '81 %', '-18 degC'])
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
