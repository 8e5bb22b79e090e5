# frozen_string_literal: true

RSpec.describe Wattomneum::ColdStart::Evening do
  # Ten degrees for the whole charge; 100 Ah.
  def stored(celsius)
    described_class::Stored.new(celsius: celsius, variance: 4.0, degrees_per_charge: 10.0, degrees_per_battery_degree: 0.3, slow_celsius: 2.0)
  end

  def standing(celsius, low:, most: 60, **rest)
    described_class.nights_standing(stored(celsius), most: most, low_celsius: low, day_before_celsius: nil, capacity_ampere_hour: 100.0, **rest)
  end

  # By hand: 0.1 A takes 2.4 Ah a night, 2.4 % x 1.25 = 3 % of charge, 0.3 degC. One degree is spent within three nights, not within four.
  it 'counts the nights until no start is likelier than a start' do
    expect([standing(-11.0, low: -10.0, awake_ampere: 0.1), standing(-10.0, low: -10.0, awake_ampere: 0.1)]).to eq([3, 0])
  end

  # (89 - 50) % at 0.09 A, 2.7 % a night: fourteen nights, however mild it is.
  it 'ends where half its charge is gone, and looks no further than it is asked' do
    expect([standing(-30.0, low: 5.0, awake_ampere: 0.09), standing(-30.0, low: 5.0, awake_ampere: 0.001)]).to eq([14, 60])
    expect(standing(-30.0, low: 5.0, awake_ampere: 0.001, most: 7)).to eq(7)
  end

  # By hand: two degrees over the low; sqrt(4 + (10 x .05)^2 + 2.2^2 + 1.3^2) = 3.283; the error function of the C library.
  it 'has the chance of a normal spread, and less of it with what was won' do
    night = described_class.new(stored(-14.0), charge: described_class::Charge.new(ratio: 0.89, spread: 0.05))
    below = ->(degrees) { 0.5 * (1 + Math.erf(degrees / Math.sqrt(2 * (4 + 0.25 + 4.84 + 1.69)))) }
    expect(night.chance(-16.0)).to be_within(2e-4).of(below.call(2.0))
    expect(night.chance(-16.0, won_celsius: 5.0)).to be_within(2e-4).of(below.call(-3.0))
  end

  # By hand: 0.04 A takes .96 Ah a night, 1.2 % of charge with the losses.
  it 'counts one night parked where nobody says how many' do
    about = { capacity_ampere_hour: 100.0, low_celsius: -16.0, day_before_celsius: nil }
    expect(described_class.of(stored(-14.0), **about).charge.ratio).to be_within(1e-9).of(0.878)
    expect(described_class.of(stored(-14.0), nights_parked: 4, **about).charge.ratio).to be_within(1e-9).of(0.842)
  end
end
