# frozen_string_literal: true

RSpec.describe Wattomneum::Cranking::Trace::Bins do
  def bins(rows, width: 0.001, most: 8)
    described_class.new(width_second: width, most: most).tap { |one| rows.each { |row| one.add(*row) } }
  end

  it 'keeps the mean of each slice, and nothing where nothing was written' do
    found = bins([[0.0, 12.0, 10.0], [0.0004, 12.2, 20.0], [0.0025, 11.0, 30.0]])
    expect([found.size, found.volts.map { |volt| volt&.round(3) }, found.amperes]).to eq([3, [12.1, nil, 11.0], [15.0, nil, 30.0]])
  end

  it 'makes two slices one when they are full, and the mean of what was in them stays' do
    rows = Array.new(16) { |index| [index / 1000.0, index.to_f, nil] }
    found = bins(rows)
    expect([found.size, found.width_second, found.volts]).to eq([8, 0.002, Array.new(8) { |index| (2 * index) + 0.5 }])
  end

  it 'counts seconds from the first row, at the middle of a slice' do
    found = bins([[100.0, 12.0, nil], [100.0035, 12.0, nil]])
    expect([found.first_second, found.second(0), found.second(3).round(4)]).to eq([100.0, 0.0005, 0.0035])
  end

  it 'is never finer than an engine asks for' do
    expect(bins([[0.0, 12.0, nil]], width: 0.00001).width_second).to eq(0.001)
  end

  it 'remembers the longest stretch without rows, not the unevenness of an instrument' do
    even = bins([[0.0, 12.0, nil], [0.001, 12.0, nil], [0.006, 12.0, nil]])
    gappy = bins([[0.0, 12.0, nil], [0.02, 12.0, nil], [0.3, 12.0, nil], [0.35, 12.0, nil]])
    expect([even.longest_gap, gappy.longest_gap.to_h.transform_values { |second| second.round(3) }]).to eq([nil, { from_second: 0.02, second: 0.28 }])
  end

  it 'makes two slices one wherever the clock of the instrument began' do
    found = bins(Array.new(16) { |index| [100.0 + (index / 512.0), index.to_f, nil] }, width: 1 / 512.0)
    expect([found.size, found.width_second, found.volts]).to eq([8, 2 / 512.0, Array.new(8) { |index| (2 * index) + 0.5 }])
  end

  it 'takes eight slices without a row for a gap, and of two that are as long the first' do
    found = ->(*seconds) { bins(seconds.map { |second| [second, 12.0, nil] }, width: 1.0, most: 64).longest_gap&.to_h }
    expect([found.call(0.0, 7.5), found.call(0.0, 8.0), found.call(5.0, 6.0, 16.0, 26.0)])
      .to eq([nil, { from_second: 0.0, second: 8.0 }, { from_second: 1.0, second: 10.0 }])
  end
end
