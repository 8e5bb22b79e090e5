# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Figure do
  it 'writes figures as a good meter shows them' do
    said = [described_class.volt(12.6), described_class.volt(0.0451), described_class.volt(0.0), described_class.ampere(652.4),
            described_class.ampere(0.12), described_class.ohm(0.00249), described_class.ohm(1_500_000), described_class.percent(81.18),
            described_class.celsius(-18.0)]
    expect(said).to eq(['12.60 V', '45.1 mV', '0.00 V', '652 A', '120 mA', '2.49 mohm', '1.5 Mohm', '81 %', '-18 degC'])
  end
end
