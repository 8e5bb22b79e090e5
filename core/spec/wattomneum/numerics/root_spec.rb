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
end
