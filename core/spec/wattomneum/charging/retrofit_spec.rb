# frozen_string_literal: true

RSpec.describe Wattomneum::Charging::Retrofit do
  # Handbook of harness work: 95 A to 130 A is 37 % more drop and 87 % more heat in the same cable.
  it 'gives the check value of the handbook' do
    stronger = described_class.new(from_ampere: 95.0, to_ampere: 130.0)
    expect([stronger.drop_percent.round, stronger.heat_percent.round, stronger.worth_a_look?]).to eq([37, 87, true])
    expect(stronger.words).to eq('37 % more drop and 87 % more heat in the same cable at full output')
  end

  it 'lets one of the same strength, or a weaker one, pass' do
    expect([95.0, 97.0, 80.0].map { |to| described_class.new(from_ampere: 95.0, to_ampere: to).worth_a_look? }).to eq([false, false, false])
  end
end
