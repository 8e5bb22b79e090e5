# frozen_string_literal: true

RSpec.describe Wattomneum::Safety::Cautions do
  it 'has a caution for every id that a test, a part or a sum names, and no caution that nothing names' do
    tests = Wattomneum::Readings::Catalogue::ALL.flat_map(&:cautions)
    parts = Wattomneum::Units::Parts::ALL.flat_map(&:cautions)
    sums = Wattomneum::DataFile.load('sums').filter_map { |row| row['caution'] }
    remedies = Wattomneum::ColdStart::Remedies::ROWS.each_value.flat_map { |row| row['cautions'] }
    # Steps that core names them for by itself.
    steps = %w[before_kill_lead spark_test try_stop]
    named = [*tests, *parts, *sums, *remedies, *steps].uniq
    expect { described_class.fetch_all(named) }.not_to raise_error
    of_units = %w[equaliser positive_ground insulated_return lithium pack]
    expect(described_class::BY_ID.keys - named).to match_array(%w[frozen_battery isolator_bypassed starter_stays_in kill_lead splice_cut] + of_units)
  end

  it 'has something to mind for every part that is mended' do
    expect(Wattomneum::Units::Parts::ALL.map(&:cautions)).to all(be_any)
  end

  it 'refuses an id that is not in the list' do
    expect { described_class.fetch_all(['spiders']) }.to raise_error(Wattomneum::UnknownKeyError, /spiders/)
  end
end
