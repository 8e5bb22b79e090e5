# frozen_string_literal: true

require 'date'

RSpec.describe Wattomneum::Readings::Due do
  it 'counts months by the calendar' do
    expect([described_class.on(Date.new(2026, 5, 31), 6), described_class.on(nil, 6)]).to eq([Date.new(2026, 11, 30), nil])
  end

  it 'goes by intervals that a fleet may set, for every round that is asked for by the calendar' do
    rounds = Wattomneum::Readings::Rounds::BY_KEY.keys.select { |kind| described_class.asked?(kind) }
    months = [*rounds, 'grounds'].map { |kind| described_class.months(kind, Wattomneum::Limits::Table.shipped) }
    expect(months).to eq([6, 12, 6, 12])
    expect(described_class.months('grounds', Wattomneum::Limits::Table.shipped, exposure: 'salt')).to eq(6)
    described_class::TESTS.each { |kind, test| expect(Wattomneum::Readings::Rounds.fetch(kind).steps(parallel_pair).map { |step| step.test.key }).to include(test) }
  end
end
