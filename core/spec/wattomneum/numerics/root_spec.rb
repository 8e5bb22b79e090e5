# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::Root do
  it 'finds what can be worked out by hand, a kink and a steep step included' do
    expect(described_class.between(0.0, 9.0) { |x| (x * x) - 2 }).to be_within(1e-5).of(Math.sqrt(2))
    expect(described_class.between(-60.0, 40.0) { |x| [x + 20, 0.01 * (x + 21)].min }).to be_within(1e-4).of(-20.0)
    expect(described_class.between(-60.0, 40.0) { |x| Math.atan(40 * (x - 3.25)) }).to be_within(1e-4).of(3.25)
  end

  it 'stops at the end beyond which it lies' do
    expect(described_class.between(-5.0, 5.0) { |x| x + 9 }).to eq(-5.0)
    expect(described_class.between(-5.0, 5.0) { |x| x - 9 }).to eq(5.0)
  end

  describe '.about' do
    # By hand: the root of two is 1.41421356, the cube root of nine 2.08008382.
    it 'finds it from nearby' do
      expect(described_class.about(0.0, 9.0, from: 1.5) { |x| (x * x) - 2 }).to be_within(1e-6).of(1.41421356)
      expect(described_class.about(0.0, 9.0, from: 8.9) { |x| (x**3) - 9 }).to be_within(1e-5).of(2.08008382)
    end

    it 'finds it from far off over a kink and a flat piece' do
      kinked = ->(x) { [[x - 3.5, 10 * (x - 5.0)].max, -0.5].max }
      [0.5, 2.9, 4.0, 8.5].each { |from| expect(described_class.about(0.0, 9.0, from: from, &kinked)).to be_within(1e-4).of(3.5) }
    end

    it 'is held at an end where it lies outside' do
      expect([described_class.about(0.0, 1.0, from: 0.9) { |x| x + 3 }, described_class.about(0.0, 1.0, from: 0.2) { |x| x - 3 }]).to eq([0.0, 1.0])
    end
  end
end
