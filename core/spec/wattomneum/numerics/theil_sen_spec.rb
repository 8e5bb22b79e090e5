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

  # By hand: ten points make 45 slopes, C = 1.645 x sqrt(10 x 9 x 25 / 18) = 18.39, M1 = 13.30, M2 = 31.70: the 13th and the 33rd.
  it 'has the interval of the slope by its ranks, as far from either end' do
    points = [3, 9, 4, 12, 11, 20, 13, 26, 19, 30].each_with_index.map { |y, x| [x, y] }
    slopes = points.combination(2).map { |(x0, y0), (x1, y1)| (y1 - y0).fdiv(x1 - x0) }.sort
    expect(described_class.new(points).slope_interval).to eq(slopes[12]..slopes[32])
  end

  it 'falls as it rises: the same points upside down have the same interval upside down' do
    random = Random.new(24)
    20.times do
      points = Array.new(random.rand(3..25)) { |x| [x, (0.5 * x) + random.rand(-3.0..3.0)] }
      risen, fallen = [1, -1].map { |way| described_class.new(points.map { |x, y| [x, way * y] }).slope_interval }
      expect([fallen.begin, fallen.end]).to eq([-risen.end, -risen.begin])
    end
  end

  # The interval holds the true slope nine times in ten, by 400 lines with an error that is not normal.
  it 'holds the true slope as often as it says' do
    random = Random.new(25)
    held = Array.new(400) do
      points = Array.new(12) { |x| [x, (2.0 * x) + random.rand(-4.0..4.0) + random.rand(-4.0..4.0)] }
      described_class.new(points).slope_interval.cover?(2.0)
    end
    expect(held.count(true)).to be_between(350, 395)
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
