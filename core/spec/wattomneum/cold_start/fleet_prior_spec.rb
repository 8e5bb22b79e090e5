# frozen_string_literal: true

# Fleets made by the very law that is looked for: known mean, spread and worth of readings in, the same out.
RSpec.describe Wattomneum::ColdStart::FleetPrior do
  def gauss(random) = Wattomneum::Numerics::Normal.drawn(random)

  # beta: by how much all readings lie off; kappa: how much less sure they are than they claim
  def fleet(random, mean:, spread:, beta: 0.0, kappa: 1.0, mornings: 30, size: 400)
    Array.new(size) do
      truth = mean + (spread * gauss(random))
      dawns = Array.new(mornings) { -8.0 + (6.0 * gauss(random)) }
      seen = dawns.reduce(Wattomneum::ColdStart::Evidence.new) do |evidence, air|
        morning = Wattomneum::ColdStart::Morning.new(off_celsius: 0.0, slow_celsius: 2.0, variance: 4.0, low_celsius: air)
        at_dawn = truth + (2.0 * gauss(random))
        evidence.with(morning, at_dawn > air ? 'failed' : ('slow' if at_dawn > air - 2.0) || 'started')
      end
      described_class::Seen.new(celsius: truth + beta + (3.5 * kappa * gauss(random)), variance: 3.5**2, logs: seen.logs)
    end
  end

  it 'finds where a fleet gives up, however far off its readings lie, and what these are worth' do
    random = Random.new(3)
    [[-16.0, 5.0, 0.0, 1.0], [-13.0, 4.0, 5.0, 1.0], [-18.0, 6.0, -4.0, 0.6]].each do |mean, spread, beta, kappa|
      learnt = described_class.new(fleet(random, mean: mean, spread: spread, beta: beta, kappa: kappa)).learnt
      expect(learnt.celsius).to be_within(1.5).of(mean)
      expect(learnt.spread).to be_within(0.3 * spread).of(spread)
      expect(learnt.ratio).to be_between(kappa * 0.6, kappa * 1.5)
      expect(learnt.doubt).to be < 1.5
    end
  end

  it 'tells which class lies over the rest' do
    random = Random.new(5)
    sound = fleet(random, mean: -17.0, spread: 4.0, size: 200)
    weak = fleet(random, mean: -11.0, spread: 4.0, size: 60).each { |one| one.unit_class = 'weak' }
    learnt = described_class.new(sound + weak).learnt
    expect(learnt.classes['weak']).to be > 2.0
    expect(learnt.expect(nil, 'another').first).to eq(learnt.celsius)
  end

  it 'knows little of a fleet whose mornings nobody told, and says how little' do
    unknown = described_class.unknown
    expect(unknown).to have_attributes(celsius: be_within(0.01).of(-17.0), spread: be_within(0.01).of(5.0), ratio: 1.0, classes: {})
    read = Array.new(50) { |index| described_class::Seen.new(celsius: -10.0 + (index % 7), variance: 12.0) }
    learnt = described_class.new(read).learnt
    expect(learnt.celsius).to be_between(-17.0, -7.0)
    expect(learnt.doubt).to be_between(2.0, 5.0)
  end

  it 'takes as long for a large fleet as for one of a few hundred' do
    large = fleet(Random.new(7), mean: -15.0, spread: 5.0, mornings: 5, size: 1600)
    expect(described_class.new(large).learnt).to eq(described_class.new(large.each_slice(4).map(&:first)).learnt)
  end
end
