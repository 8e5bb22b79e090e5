# frozen_string_literal: true

# Reference: printed tables of the normal distribution (from memory, four digits), and sums over a fine grid.
RSpec.describe Wattomneum::Numerics::Normal do
  it 'has the printed values' do
    expect([-1.96, -1.0, 0.0, 0.5, 1.2816].map { |z| described_class.below(z).round(4) }).to eq([0.025, 0.1587, 0.5, 0.6915, 0.9])
    expect([described_class.density(0.0).round(4), described_class.density(Float::INFINITY)]).to eq([0.3989, 0.0])
  end

  it 'knows mean and variance of a value that lies between two limits, as a grid of thin slices has them' do
    [[-0.4, 1.3], [0.8, Float::INFINITY], [-Float::INFINITY, -1.1]].each do |lower, upper|
      step = 1e-4
      inside = (-80_000..80_000).map { |at| (at + 0.5) * step }.grep(lower..upper)
      weights = inside.map { |z| Math.exp(-z * z / 2) }
      mean = inside.zip(weights).sum { |z, weight| z * weight } / weights.sum
      variance = inside.zip(weights).sum { |z, weight| ((z - mean)**2) * weight } / weights.sum
      share, one, two = described_class.between(lower, upper)
      expect(share).to be_within(1e-4).of(weights.sum * step / Math.sqrt(2 * Math::PI))
      expect([one, 1 - ((one**2) - two)]).to match([be_within(1e-4).of(mean), be_within(1e-4).of(variance)])
    end
  end

  it 'draws what has mean 0 and spread 1, one in 22 beyond two spreads' do
    random = Random.new(5)
    drawn = Array.new(20_000) { described_class.drawn(random) }
    expect(drawn.sum / drawn.size).to be_within(0.03).of(0.0)
    expect(drawn.sum { |one| one * one } / drawn.size).to be_within(0.05).of(1.0)
    expect(drawn.count { |one| one.abs > 2 }.fdiv(drawn.size)).to be_within(0.006).of(0.0455)
  end

  it 'gives nothing for what cannot be' do
    expect(described_class.between(40.0, 41.0)).to eq([0.0, 0.0, 0.0])
  end
end
