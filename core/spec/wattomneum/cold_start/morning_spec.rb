# frozen_string_literal: true

# Reference: Bayes over a grid of thresholds, each dawn's outcome likely as it is by where the threshold lies, 2 % of entries something else.
RSpec.describe Wattomneum::ColdStart::Morning do
  evening_class = Wattomneum::ColdStart::Evening

  def stored(celsius: -14.0, variance: 12.0)
    Wattomneum::ColdStart::Evening::Stored.new(celsius: celsius, variance: variance, degrees_per_charge: 8.0, degrees_per_battery_degree: 0.2,
                                               slow_celsius: 2.4)
  end

  def evening(one, charge: 0.85, spread: 0.06)
    Wattomneum::ColdStart::Evening.new(one, charge: Wattomneum::ColdStart::Evening::Charge.new(ratio: charge, spread: spread))
  end

  def on_a_grid(one, tonight, _low, limits)
    off = tonight.celsius - one.celsius
    noise = Math.sqrt(((8.0 * 0.06)**2) + (2.2**2) + (0.5**2))
    cells = (-500..300).map { |step| step * 0.1 }
    prior = cells.map { |cell| Math.exp(-0.5 * ((cell - one.celsius)**2) / one.variance) }
    weights = cells.zip(prior).map do |cell, weight|
      over, under = limits.map { |limit| Wattomneum::Numerics::Normal.below((limit - cell - off) / noise) }
      inside = under - over
      weight * ((0.98 * inside) + 0.02)
    end
    mean = cells.zip(weights).sum { |cell, weight| cell * weight } / weights.sum
    [mean, cells.zip(weights).sum { |cell, weight| ((cell - mean)**2) * weight } / weights.sum]
  end

  [-20.0, -14.0, -9.0].each do |low|
    it "moves a threshold at a dawn of #{low} degC as Bayes on a grid does" do
      one = stored
      { 'failed' => [low, 99.0], 'slow' => [low - 2.4, low], 'started' => [-99.0, low - 2.4], 'jumped' => [low, 99.0] }.each do |outcome, limits|
        after = evening(one).morning(low).after(outcome)
        mean, variance = on_a_grid(one, evening(one), low, limits)
        expect(after.celsius).to be_within(0.12).of(mean), outcome
        expect(after.variance).to be_within(0.6).of(variance + 0.01), outcome
      end
    end
  end

  it 'learns nothing where it was heated, charged or did not fire for another reason' do
    one = stored
    %w[heated charged no_fire].each { |outcome| expect(evening(one).morning(-14.0).after(outcome)).to eq(one) }
  end

  it 'takes a failure on a warm morning for a mistake rather than for the truth' do
    morning = evening(stored).morning(8.0)
    expect(morning.likely?('failed')).to be(false)
    expect(morning.after('failed').celsius).to be_within(0.3).of(-14.0)
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
