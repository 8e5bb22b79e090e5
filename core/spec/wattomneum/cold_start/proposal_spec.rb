# frozen_string_literal: true

RSpec.describe Wattomneum::ColdStart::Proposal do
  def offer(id, *options)
    made = options.map { |key, minutes, gain| described_class::Option.new(key: key, minutes: minutes, gain: gain) }
    described_class::Offer.new(unit_id: id, options: made)
  end

  def chosen(offers, minutes) = described_class.new(offers, minutes: minutes).choices.map { |one| [one.unit_id, one.key] }

  # By hand: 45 minutes are 15 + 30 for 0.4 + 0.35, against 45 for 0.6 or 10 + 30 for 0.2 + 0.35.
  it 'does two small things rather than the one that wins most by itself' do
    offers = [offer('a', ['charge', 15, 0.4], ['whole_bank', 45, 0.6]), offer('b', ['weaker', 30, 0.35]), offer('c', ['heat', 10, 0.2])]
    expect(chosen(offers, 45)).to eq([%w[a charge], %w[b weaker]])
    expect(chosen(offers, 14)).to eq([%w[c heat]])
    expect(chosen(offers, 9)).to be_empty
  end

  it 'does one thing to a unit, however long the evening is, and nothing that hardly wins' do
    offers = [offer('a', ['charge', 15, 0.1], ['heat', 10, 0.3]), offer('b', ['heat', 10, 0.004])]
    expect(chosen(offers, 720)).to eq([%w[a heat]])
  end

  # Every way to choose, one by one: nothing shared with the sums above.
  it 'never wins less than the best of all ways there are' do
    random = Random.new(7)
    20.times do
      offers = Array.new(5) { |unit| offer(unit.to_s, *Array.new(3) { |key| [key.to_s, random.rand(5..60), random.rand.round(3)] }) }
      minutes = random.rand(20..150)
      options = offers.map { |one| [nil, *one.options] }
      ways = options.first.product(*options.drop(1)).map(&:compact)
      best = ways.select { |way| way.sum(&:minutes) <= minutes }.map { |way| way.sum(&:gain) }.max
      made = described_class.new(offers, minutes: minutes).choices
      expect(made.sum(&:gain)).to be_within(1e-9).of(best)
      expect(made.sum(&:minutes)).to be <= minutes
    end
  end

  it 'refuses an evening that is none' do
    [0, -5, 721].each { |minutes| expect { described_class.new([], minutes: minutes) }.to raise_error(Wattomneum::InvalidQuantityError, /1 to 720/) }
  end

  it 'takes what needs every minute that is left, and what just is worth the walk' do
    expect(chosen([offer('a', ['whole_bank', 45, 0.6])], 45)).to eq([%w[a whole_bank]])
    expect(chosen([offer('a', ['heat', 10, 0.01])], 45)).to eq([%w[a heat]])
  end
end
