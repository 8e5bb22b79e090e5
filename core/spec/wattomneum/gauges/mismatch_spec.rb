# frozen_string_literal: true

# Worked by hand: along these straight curves a resistor in series moves every mark by its ohms, so that the error that is left is known.
RSpec.describe Wattomneum::Gauges::Mismatch do
  def straight(empty, full)
    Wattomneum::Gauges::Curve.new([[0.0, empty], [100.0, full]])
  end

  # Series resistor r: the needle shows 100 (ohm + r - empty) / (full - empty) of the gauge.
  def mismatch(sender) = described_class.new(sender, straight(10.0, 180.0))

  it 'offers a resistor where one sender differs by a constant, which takes all of the error' do
    found = mismatch(straight(0.0, 170.0))
    expect(found.worst.error.abs).to be_within(0.01).of(100 * 10.0 / 170)
    expect([found.resistor.kind, found.resistor.ohm]).to match(['series', be_within(0.3).of(10.0)])
    expect(found.resistor.worst).to be < found.worst.error.abs / 3
  end

  # The worst error that any single resistor leaves, tried here by formulas of this file, ohm by ohm.
  def least_worst(empty, full)
    marks = (0..8).map { |step| step * 12.5 }
    ohms = marks.map { |mark| empty + ((full - empty) * mark / 100) }
    ways = [->(ohm, own) { ohm + own }, ->(ohm, own) { ohm * own / (ohm + own) }]
    ways.product((1..2_500).map { |step| step * 0.6 }).map do |way, own|
      marks.zip(ohms).map { |mark, ohm| (needle(way.call(ohm, own)) - mark).abs }.max
    end.min
  end

  def needle(ohm) = (100 * (ohm - 10.0) / 170).clamp(0.0, 100.0)

  [[10.0, 150.0], [10.0, 240.0], [0.0, 90.0], [0.0, 140.0], [33.0, 240.0], [0.0, 200.0], [5.0, 120.0]].each do |empty, full|
    it "offers one for a sender of #{empty} to #{full} ohm only where it leaves less than two thirds" do
      found = mismatch(straight(empty, full))
      share = least_worst(empty, full) / found.worst.error.abs
      expect([share.round(2), found.resistor.nil?]).to eq([share.round(2), share > 2 / 3.0])
    end
  end
end
