# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::PiecewiseLine do
  subject(:line) { described_class.new([[0, 10], [10, 20], [20, 0]]) }

  it 'is linear between its points' do
    expect([line.clamped(5), line.clamped(10), line.clamped(15)]).to eq([15.0, 20.0, 10.0])
  end

  it 'holds its end values outside when clamped' do
    expect([line.clamped(-5), line.clamped(99)]).to eq([10.0, 0.0])
  end

  it 'refuses what lies outside the table when asked to stay within' do
    expect { line.within(20.1) }.to raise_error(Wattomneum::OutOfTableRangeError, /0.0 to 20.0/)
  end

  it 'needs two points' do
    expect { described_class.new([[1, 1]]) }.to raise_error(ArgumentError)
  end
end
