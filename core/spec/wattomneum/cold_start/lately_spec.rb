# frozen_string_literal: true

# Mornings drawn by the very law that is looked for: so many degrees off and so much sharper in, the same out, as far as few cold nights can say.
RSpec.describe Wattomneum::ColdStart::Lately do
  def gauss(random) = Wattomneum::Numerics::Normal.drawn(random)

  # Units whose thresholds lie about the night's low; off: by how much all of them lie higher; ratio: of what is thought to be their spread
  def nights(random, off: 0.0, ratio: 1.0, count: 40, units: 60, days_ago: ->(night) { night })
    (0...count).flat_map do |night|
      Array.new(units) do
        over = random.rand(-10.0..4.0).round(1)
        failed = (over + off + (3.0 * ratio * gauss(random))).positive?
        described_class::Told.new(night: night, days_ago: days_ago[night], over_celsius: over, variance: 9.0, failed: failed, units: 1)
      end
    end
  end

  it 'adds nothing where nothing was told, and hardly anything where it went as said' do
    expect(described_class.new([]).learnt).to eq(described_class.nothing)
    learnt = described_class.new(nights(Random.new(1))).learnt
    expect(learnt.celsius).to be_within(0.5).of(0.0)
    expect(learnt.spread_ratio).to be_within(0.15).of(1.0)
  end

  it 'finds by how much all units gave up earlier or later than said, and that they were surer than thought' do
    random = Random.new(2)
    [[1.5, 1.0], [-1.5, 1.0], [0.0, 0.6]].each do |off, ratio|
      learnt = described_class.new(nights(random, off: off, ratio: ratio)).learnt
      # Pulled towards what it was thought to be.
      expect(learnt.celsius).to be_within(0.6).of(off)
      expect(learnt.spread_ratio).to be_within(0.2).of(ratio)
    end
  end

  it 'lets one odd night of a large yard say two of its six degrees at most, and a season of long ago nothing beside this week' do
    odd = nights(Random.new(3), off: 6.0, count: 1, units: 2_000)
    expect(described_class.new(odd).learnt.celsius).to be < 2.0
    long_ago = nights(Random.new(4), off: 3.0, days_ago: ->(night) { 60 + night })
    now = nights(Random.new(5), off: -1.0, count: 14).each { |told| told.night += 100 }
    expect(described_class.new(long_ago + now).learnt.celsius).to be < 0.0
  end

  it 'is not led astray by taps of mild weeks that nobody can have meant' do
    random = Random.new(6)
    mild = nights(random, count: 30).each { |told| told.over_celsius -= 14.0 }.each { |told| told.failed = random.rand < 0.02 }
    expect(described_class.new(mild).learnt.celsius.abs).to be < 0.7
  end

  it 'counts mornings of a kind together as one by one' do
    told = nights(Random.new(7), count: 6)
    together = told.group_by(&:itself).map { |one, same| one.dup.tap { |all| all.units = same.size } }
    expect(described_class.new(together).learnt.celsius).to be_within(1e-6).of(described_class.new(told).learnt.celsius)
  end
end
