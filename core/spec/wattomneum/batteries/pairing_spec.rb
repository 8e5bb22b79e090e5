# frozen_string_literal: true

require 'date'

RSpec.describe Wattomneum::Batteries::Pairing do
  def candidate(tag, health, type: 'flooded', ampere: 850.0, standard: 'SAE', rest: 12.62, made: Date.new(2025, 3, 1))
    described_class::Candidate.new(id: tag, tag: tag, type: type, health_percent: health, rest_volt: rest, made_on: made,
                                   rating: Wattomneum::Batteries::Rating.new(ampere: ampere, standard: standard))
  end

  def pairs(*candidates) = described_class.new(candidates).pairs.map(&:ids)

  it 'puts the two that are nearest in health and age first' do
    expect(pairs(candidate('a', 95.0), candidate('b', 82.0), candidate('c', 93.0))).to eq([%w[a c], %w[c b], %w[a b]])
    old = Date.new(2021, 3, 1)
    expect(pairs(candidate('a', 95.0), candidate('b', 93.0, made: old), candidate('c', 90.0)).first).to eq(%w[a c])
  end

  # Common practice: 15 % of rating, 0.2 V at rest, never two types in one bank.
  it 'puts none together that are more than 15 % or 0.2 V apart, of two types, or of two sizes' do
    expect(pairs(candidate('a', 95.0), candidate('b', 79.0))).to eq([])
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, rest: 12.41))).to eq([])
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, type: 'agm'))).to eq([])
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, ampere: 700.0))).to eq([])
  end

  it 'takes what lies just at the limit, and goes by the month where the health is the same' do
    expect(pairs(candidate('a', 95.0), candidate('b', 80.0))).to eq([%w[a b]])
    expect(pairs(candidate('a', 95.0), candidate('b', 79.9))).to eq([])
    # A month weighs a quarter of a percent: eight months are worth 2 % (ours).
    later = ->(months) { Date.new(2025, 3, 1) >> months }
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, made: later[7]), candidate('c', 93.0)).first).to eq(%w[a b])
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, made: later[9]), candidate('c', 93.0)).first).to eq(%w[a c])
  end

  it 'stops at as many as were asked for, best first, and says nothing of an age that nobody knows' do
    shelf = (0..9).map { |one| candidate("b#{one}", 95.0 - (one * 0.5)) }
    expect(described_class.new(shelf).pairs.size).to eq(6)
    expect(described_class.new(shelf).pairs(most: 2).map(&:ids)).to eq([%w[b0 b1], %w[b1 b2]])
    unknown = described_class.new([candidate('a', 95.0, made: nil), candidate('b', 93.0)]).pairs
    expect(unknown.map(&:words)).to eq(['95 and 93 % of their labels'])
    same = described_class.new([candidate('a', 95.0), candidate('b', 95.0)]).pairs
    expect(same.map(&:words)).to eq(['95 and 95 % of their labels, made in the same month'])
  end

  it 'compares labels of two standards by what they come to in SAE: 800 A EN is 848 A' do
    expect(pairs(candidate('a', 95.0), candidate('b', 95.0, ampere: 800.0, standard: 'EN'))).to eq([%w[a b]])
  end

  it 'asks for a test of who was never tested, and pairs it with nobody' do
    pairing = described_class.new([candidate('a', 95.0), candidate('b', nil)])
    expect([pairing.pairs, pairing.untested.map(&:tag)]).to eq([[], ['b']])
  end

  it 'says how two lie to each other' do
    words = described_class.new([candidate('a', 95.4), candidate('b', 93.0, made: Date.new(2025, 6, 1))]).pairs.first.words
    expect(words).to eq('95 and 93 % of their labels, made 3 months apart')
  end

  it 'says why two do not go together' do
    pairing = described_class.new([])
    expect(pairing.objections(candidate('a', 95.0), candidate('b', 70.0, type: 'gel', ampere: 600.0)))
      .to match([include('they want different charging volts'), '600 A and 850 A by SAE: one would work for both', '25 % apart, limit 15 %'])
  end
end
