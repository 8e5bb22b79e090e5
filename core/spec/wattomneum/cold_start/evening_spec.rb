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
end
