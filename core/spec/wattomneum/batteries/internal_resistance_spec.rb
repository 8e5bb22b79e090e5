# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::InternalResistance do
  def from_rating(celsius, charge: 100.0)
    described_class.from_rating(measured_sae_ampere: 850.0, rest_volt: 12.65, temperature_celsius: celsius, charge_percent: charge)
  end

  # End point of SAE J537 (from memory): at the rated current and -18 degC the battery stands at 7.2 V.
  it 'gives 7.2 V at the rated current and -18 degC' do
    expect(12.65 - (850.0 * from_rating(-18))).to be_within(1e-9).of(7.2)
  end

  it 'falls to a CA of 1.25 CCA at 0 degC' do
    expect(from_rating(0)).to be_within(1e-9).of(from_rating(-18) / 1.25)
  end

  it 'rises in the cold and with lost charge' do
    falling = [27, 0, -18, -29].map { |celsius| from_rating(celsius) }
    expect(falling).to eq(falling.sort)
    expect(from_rating(0, charge: 50.0)).to be_within(1e-9).of(from_rating(0) / 0.7)
  end

  it 'is measured from a crank test' do
    expect(described_class.measured(rest_volt: 12.6, cranking_volt: 10.8, current_ampere: 600.0)).to be_within(1e-9).of(0.003)
  end

  it 'is not measured without a current' do
    expect { described_class.measured(rest_volt: 12.6, cranking_volt: 12.6, current_ampere: 0.0) }.to raise_error(Wattomneum::InvalidQuantityError)
  end
end
