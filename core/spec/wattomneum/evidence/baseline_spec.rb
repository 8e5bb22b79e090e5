# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Baseline do
  # By hand: the median of 10.4 10.5 10.6 10.6 10.9 is 10.6; deviations .2 .1 0 0 .3 have the median .1, so the spread is 0.148.
  it 'takes median and scaled deviation, which one odd sister does not move' do
    sisters = described_class.of([10.4, 10.5, 10.6, 10.6, 10.9])
    expect([sisters.median, sisters.spread.round(3), sisters.count]).to eq([10.6, 0.148, 5])
    odd = described_class.of([10.4, 10.5, 10.6, 10.6, 2.0])
    expect(odd.median).to eq(10.5)
  end

  it 'calls far what lies three deviations off, and nothing within what the instrument may be off' do
    sisters = described_class.of([10.4, 10.5, 10.6, 10.6, 10.9])
    expect([10.2, 10.1].map { |value| sisters.far?(value) }).to eq([false, true])
    expect(described_class.of([10.6, 10.6, 10.6], least_spread: 0.07).far?(10.75)).to be(false)
  end

  it 'says nothing of two' do
    expect(described_class.of([10.6, 10.7])).to be_nil
  end
end
