# frozen_string_literal: true

RSpec.describe Wattomneum::Practice::CrankTrace do
  def trace(**given) = described_class.new(rest_volt: 12.6, bank_ohm: 0.005, ampere: 400.0, rpm: 120.0, cylinders: 4, noise_volt: 0.0, **given)

  # By hand: before the key nothing flows; one second into the crank the bite is gone and the mean of whole humps is 400 A.
  it 'rests, bites, cranks and lets go as it was told' do
    rows = trace(second: 3.0).rows(hertz: 500)
    at = ->(from, to) { rows.select { |second, *| second.between?(from, to) } }
    expect(at.call(0, 0.99).map(&:last).uniq).to eq([0.0])
    expect(at.call(2.0, 2.998).sum(&:last) / at.call(2.0, 2.998).size).to be_within(1).of(400)
    expect([at.call(1.0, 1.01).map(&:last).max, rows.last]).to match([be > 1200, [be_within(0.01).of(5.0), 12.6, 0.0]])
  end

  it 'writes the same rows for the same seed, and others for another' do
    noisy = ->(seed) { described_class.new(rest_volt: 12.6, bank_ohm: 0.005, ampere: 400.0, rpm: 120.0, cylinders: 4, seed: seed).csv(hertz: 100) }
    first, again, other = [1, 1, 2].map(&noisy)
    expect([first == again, first == other]).to eq([true, false])
  end
end
