# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::DateCode do
  let(:today) { Date.new(2026, 11, 20) }

  { 'K24' => [2024, 10], 'a26' => [2026, 1], 'M5' => [2025, 12], 'L6' => [2026, 11], '10/24' => [2024, 10], '3-2025' => [2025, 3],
    '0125' => [2025, 1] }.each do |code, (year, month)|
    it("reads #{code} as #{month}/#{year}") { expect(described_class.made_on(code, not_after: today)).to eq(Date.new(year, month, 1)) }
  end

  ['I24', '13/24', 'yesterday', ''].each do |code|
    it("refuses #{code.inspect}") { expect { described_class.made_on(code, not_after: today) }.to raise_error(Wattomneum::InvalidQuantityError, /no date code/) }
  end

  it 'refuses a month that is still to come' do
    expect { described_class.made_on('M26', not_after: today) }.to raise_error(Wattomneum::InvalidQuantityError, /still to come/)
  end
end
