# frozen_string_literal: true

# Fleets made by the very law that is looked for: known shift in, that shift out.
RSpec.describe Wattomneum::ColdStart::FleetShift do
  def fleet(beta, kappa, random)
    Array.new(400) do
      prior = -14.0 + (6.0 * gauss(random))
      truth = prior + beta + (3.5 * kappa * gauss(random))
      mornings = Array.new(12) { -10.0 + (6.0 * gauss(random)) }
      started, failed = mornings.partition { |air| truth + (1.5 * gauss(random)) < air }
      described_class::Seen.new(celsius: prior, variance: 3.5**2, coldest_start: started.min, warmest_failure: failed.max)
    end
  end

  def gauss(random) = Wattomneum::Numerics::Normal.drawn(random)

  it 'finds by how much a whole fleet lies off' do
    random = Random.new(3)
    [[-3.0, 1.0], [0.0, 1.0], [4.0, 0.7]].each do |beta, kappa|
      best = described_class.new(fleet(beta, kappa, random)).best
      expect(best.celsius).to be_within(1.0).of(beta)
      expect(best.ratio).to be_between(kappa * 0.7, kappa * 1.5)
    end
  end

  it 'moves nothing where nothing was entered' do
    seen = described_class::Seen.new(celsius: -9.0, variance: 9.0, coldest_start: nil, warmest_failure: nil)
    expect(described_class.new([seen]).best).to eq(described_class::Shift.none)
  end

  it 'moves what readings let expect, and little of a unit whose own mornings were many' do
    prior = Wattomneum::ColdStart::Evening::Stored.new(celsius: -10.0, variance: 9.0, degrees_per_charge: 8.0, degrees_per_battery_degree: 0.2,
                                                       slow_celsius: 2.4)
    shift = described_class::Shift.new(celsius: -3.0, ratio: 0.5)
    expect(shift.on(prior)).to have_attributes(celsius: -13.0, variance: 2.25)
    expect(prior).to have_attributes(celsius: -10.0, variance: 9.0)
    dawns = (-9..-3).flat_map { |low| [low, low] }.map { |low| Wattomneum::ColdStart::Told::Dawn.new(outcome: low < -6 ? 'failed' : 'slow', low_celsius: low.to_f) }
    told = [prior, described_class::Shift.new(celsius: -3.0, ratio: 1.0).on(prior)].map do |one|
      Wattomneum::ColdStart::Told.new(one, capacity_ampere_hour: 90.0).hear(dawns)
    end
    expect(told.map(&:count)).to eq([14, 14])
    expect((told.first.stored.celsius - told.last.stored.celsius).abs).to be < 1.0
    expect(told.first).to have_attributes(warmest_failure: be_within(0.5).of(-7.0), coldest_start: be_within(0.5).of(-6.0))
  end
end
