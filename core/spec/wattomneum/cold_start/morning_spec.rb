# frozen_string_literal: true

# Reference: draws of a threshold that wanders from morning to morning.
RSpec.describe Wattomneum::ColdStart::Morning do
  evening_class = Wattomneum::ColdStart::Evening

  def stored(celsius: -14.0, variance: 12.0)
    Wattomneum::ColdStart::Evening::Stored.new(celsius: celsius, variance: variance, degrees_per_charge: 8.0, degrees_per_battery_degree: 0.2,
                                               slow_celsius: 2.4)
  end

  def evening(one, charge: 0.85, spread: 0.06)
    Wattomneum::ColdStart::Evening.new(one, charge: Wattomneum::ColdStart::Evening::Charge.new(ratio: charge, spread: spread))
  end

  it 'is as likely as a threshold that wanders by the morning has it, drawn ten thousand times' do
    random = Random.new(4)
    noise = Math.sqrt(((8.0 * 0.06)**2) + (Wattomneum::ColdStart::Table.figure('night', 'morning_celsius')**2) + (0.5**2))
    off = evening(stored).celsius - -14.0
    [-17.0, -14.0, -12.0].each do |threshold|
      drawn = Array.new(10_000) { threshold + off + (noise * Wattomneum::Numerics::Normal.drawn(random)) }
      happened = drawn.map { |at| at > -13.0 ? 'failed' : ('slow' if at > -15.4) || 'started' }.tally
      { 'failed' => 'failed', 'jumped' => 'failed', 'slow' => 'slow', 'started' => 'started' }.each do |outcome, told|
        expect(evening(stored).morning(-13.0).likelihood(outcome, threshold)).to be_within(0.015).of(happened.fetch(told, 0) / 10_000.0)
      end
    end
  end

  it 'takes a failure on a warm morning for a mistake rather than for the truth' do
    evidence = Wattomneum::ColdStart::Evidence.new.with(evening(stored).morning(8.0), 'failed')
    expect(evidence.on(-14.0, 12.0).first).to be_within(0.3).of(-14.0)
  end

  it 'forecasts a darker night for a unit that stood for three, and for one whose batteries are as cold as the air' do
    parked = [0, 3].map { |nights| evening_class.charge(nights_parked: nights, capacity_ampere_hour: 100.0) }
    expect(parked.map { |charge| charge.ratio.round(3) }).to eq([0.89, 0.854])
    tonight = parked.map { |charge| evening_class.new(stored, charge: charge).chance(-14.0) }
    expect(tonight.first).to be < tonight.last
    warm = evening_class.warmer_celsius(-10.0, -14.0)
    cold = evening_class.warmer_celsius(-14.0, -14.0)
    expect([warm.round(6), cold]).to eq([0.0, -1.4])
    chances = [warm, cold].map { |warmer| evening_class.new(stored, charge: parked.first, warmer_celsius: warmer).chance(-14.0) }
    expect(chances.first).to be < chances.last
  end

  it 'says that a flat battery may be ice' do
    charge = evening_class::Charge.new(ratio: 0.2, spread: 0.1)
    expect([-5.0, -20.0].map { |low| evening_class.new(stored, charge: charge).may_freeze?(low) }).to eq([false, true])
  end
end
