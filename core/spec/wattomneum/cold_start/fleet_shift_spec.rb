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

  it 'moves what readings let expect, and keeps what its own mornings taught' do
    stored = ->(celsius, variance) { Wattomneum::ColdStart::Evening::Stored.new(celsius: celsius, variance: variance) }
    prior = stored.call(-10.0, 9.0)
    to = described_class::Shift.new(celsius: -3.0, ratio: 1.0)
    untaught = described_class.moved(prior, prior, from: described_class::Shift.none, to: to)
    sure = described_class.moved(stored.call(-6.0, 0.5), prior, from: described_class::Shift.none, to: to)
    expect([untaught.celsius, untaught.variance]).to eq([-13.0, 9.0])
    expect(sure.celsius).to be_within(0.2).of(-6.2)
    back = described_class.moved(sure, prior, from: to, to: described_class::Shift.none)
    expect(back.celsius).to be_within(1e-9).of(-6.0)
  end
end
