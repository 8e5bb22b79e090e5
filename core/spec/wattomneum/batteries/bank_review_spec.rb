# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::BankReview do
  def made(tag, year, month)
    Wattomneum::Batteries::Battery.new(tag: tag, type: 'flooded', made_on: Date.new(year, month, 1),
                                       rating: Wattomneum::Batteries::Rating.new(ampere: 800, standard: 'SAE'))
  end

  let(:young_partner) { parallel_pair(batteries: { 'A' => made('old', 2021, 5), 'B' => made('young', 2026, 6) }) }

  def tests(system, amperes, volts = [12.6, 12.6])
    system.positions.zip(amperes, volts).flat_map do |position, ampere, volt|
      [reading('rest_voltage', volt, system: system, position: position, taken_at: Time.utc(2026, 11, 1, 6)),
       reading('battery_test', ampere, system: system, position: position, taken_at: Time.utc(2026, 11, 1, 7))]
    end
  end

  def review(system, *figures, school: 'set')
    assess(tests(system, *figures), system: system, schools: Wattomneum::Schools::Choices.new('battery_pairs' => school)).bank_review
  end

  # Common practice: more than 15 % of rating between parallel batteries, or more than 0.2 V at rest after charge.
  it 'calls batteries mismatched over 15 % of rating or 0.2 V apart' do
    expect(review(parallel_pair, [790.0, 680.0]).remarks).to be_empty
    expect(review(parallel_pair, [790.0, 660.0]).remarks.first).to include('limit 15 %')
    expect(review(parallel_pair, [790.0, 790.0], [12.75, 12.5]).remarks.first).to include('limit 0.2 V')
  end

  it 'names the 12 V load on the middle of a series pair' do
    expect(review(series_pair, [790.0, 790.0], [12.75, 12.5]).remarks.first).to include('12 V load hangs on the middle')
  end

  it 'objects to types mixed in one bank' do
    mixed = parallel_pair(batteries: { 'A' => battery('wet'), 'B' => battery('mat', type: 'agm') })
    expect(review(mixed, [790.0, 790.0]).remarks.first).to include('different charging volts')
  end

  it 'replaces the set by default, the failed one by the other school where its partner is under 12 months and over 85 %' do
    expect(review(young_partner, [300.0, 780.0]).advice('A')).to start_with('Replace the set').and include('School used')
    expect(review(young_partner, [300.0, 780.0], school: 'failed_one').advice('A')).to start_with('Replace A; B may stay')
    expect(review(young_partner, [300.0, 640.0], school: 'failed_one').advice('A')).to start_with('Replace the set')
    expect(review(young_partner, [780.0, 300.0], school: 'failed_one').advice('B')).to start_with('Replace the set')
  end

  it 'has nothing to say of a single battery' do
    expect(review(single_battery, [790.0]).remarks).to be_empty
  end
end
