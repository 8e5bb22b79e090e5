# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::TheilSen do
  it 'gives a straight line back exactly' do
    line = described_class.new([[0, 5], [1, 7], [2, 9], [5, 15]])
    expect([line.slope, line.intercept]).to eq([2.0, 5.0])
  end

  it 'is not moved by one wild value' do
    line = described_class.new([[0, 0], [1, 1], [2, 2], [3, 90], [4, 4], [5, 5]])
    expect(line.slope).to be_within(0.01).of(1.0)
  end

  # Worked by hand: slopes of (1,2) (2,3) (4,8) are 1, 2, 2.5; their median is 2; residual offsets 0, -1, 0.
  it 'is the median of all slopes between pairs' do
    line = described_class.new([[1, 2], [2, 3], [4, 8]])
    expect([line.slope, line.intercept]).to eq([2.0, 0.0])
  end

  it 'says at which x a value is reached' do
    expect(described_class.new([[0, 100], [10, 90]]).x_at(60)).to be_within(1e-9).of(40)
  end

  it 'never reaches a value on a level line' do
    expect(described_class.new([[0, 80], [10, 80]]).x_at(60)).to be_nil
  end

  it 'needs two points apart in x' do
    expect { described_class.new([[1, 1], [1, 2]]) }.to raise_error(ArgumentError)
  end
end
