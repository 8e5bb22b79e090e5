# frozen_string_literal: true

RSpec.describe Wattomneum::Faults::Acts do
  let(:rows) { Wattomneum::DataFile.load('acts') }

  it 'has one row for each complaint, stage and case, of tests that the catalogue has, none twice' do
    expect(rows.group_by { |row| row.values_at('complaint', 'stage', 'where') }.values.reject(&:one?)).to eq([])
    expect(rows.flat_map { |row| row['tests'] }.uniq.reject { |key| Wattomneum::Readings::Catalogue.fetch(key).key == key }).to eq([])
    expect(rows.map { |row| row['tests'] }.reject { |tests| tests == tests.uniq }).to eq([])
  end

  it 'names only cases that can be: ways of failing, what an engine does, what readings say' do
    ways = Wattomneum::Faults::OrdersOfWork::WAYS_KNOWN
    does = Wattomneum::Readings::Catalogue.fetch('cranking_behaviour').choices.map { |choice| choice['key'] }
    expect(rows.filter_map { |row| row['where'] } - ways - does - %w[fails charges_too_little]).to eq([])
  end

  it 'goes by the case, else by what holds whatever it is, and has nothing where there is neither' do
    expect(described_class.of('charging', 'first', where: 'goes_flat')).to eq(['draw_asleep'])
    expect(described_class.of('charging', 'first', where: 'comes_and_goes')).to eq(%w[charge_lamp_key_on belt_look])
    expect(described_class.of('starting', 'at_the_key', where: 'jerk')).to eq([])
    expect(described_class.of('glow', 'gone')).to eq([])
  end
end
