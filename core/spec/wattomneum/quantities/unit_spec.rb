# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Unit do
  { [12.6, 'V', 'voltage'] => 12.6, [210, 'mV', 'voltage'] => 0.21, [4.7, 'kohm', 'resistance'] => 4700.0, [1.5, 'Mohm', 'resistance'] => 1.5e6,
    [0.7, 'mohm', 'resistance'] => 0.0007, [120, 'mA', 'current'] => 0.12, [80, 'mV AC', 'ripple'] => 0.08, [68, 'degF', 'temperature'] => 20.0 }
    .each do |(number, symbol, quantity), base|
    it("turns #{number} #{symbol} into #{base}") { expect(described_class.to_base(number.to_f, symbol, quantity)).to be_within(1e-9).of(base) }
  end

  it 'names the base unit first' do
    expect(%w[voltage resistance current specific_gravity].map { |quantity| described_class.base(quantity) }).to eq(%w[V ohm A SG])
    expect(described_class.base('observation')).to be_nil
  end
end
