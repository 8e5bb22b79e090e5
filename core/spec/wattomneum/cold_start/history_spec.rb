# frozen_string_literal: true

# Reference: Bayes over a grid of thresholds, reading and each dawn likely as they are by where the threshold lies.
RSpec.describe Wattomneum::ColdStart::History do
  curve = Struct.new(:degrees_per_charge, :degrees_per_battery_degree, :slow_celsius).new(8.0, 0.2, 2.4)
  learnt = Wattomneum::ColdStart::FleetPrior::Learnt.new(celsius: -16.0, doubt: 0.0, spread: 5.0, reading_celsius: -12.0, ratio: 1.2,
                                                         classes: { 'weak' => 3.0 })

  define_method(:history) { described_class.new(curve, capacity_ampere_hour: 100.0) }
  define_method(:known) { |heard, fleet = learnt| heard.stored(fleet) }

  def read(celsius, day: 0) = described_class::Read.new(celsius: celsius, variance: 9.0, day: day)
  def change(kind, day) = described_class::Change.new(kind: kind, day: day)

  def dawns(outcome, low, days)
    days.map { |day| described_class::Dawn.new(outcome: outcome, low_celsius: low, day: day + 0.25) }
  end

  def chance(history, low)
    Wattomneum::ColdStart::Evening.of(known(history), capacity_ampere_hour: 100.0, low_celsius: low, day_before_celsius: nil).chance(low)
  end

  it 'takes a reading by what readings have been worth in this fleet, and not by its absolute figure' do
    noise = (1.2**2) * 9.0
    expect(known(history.hear([read(-12.0)])).to_h.slice(:celsius, :variance))
      .to match(celsius: be_within(1e-9).of(-16.0), variance: be_within(1e-9).of(25.0 * noise / (25.0 + noise)))
    expect(known(history.hear([read(-8.0)])).celsius).to be_within(1e-9).of(-16.0 + (4.0 * 25.0 / (25.0 + noise)))
    expect(history.stored(learnt, 'weak').celsius).to eq(-13.0)
  end

  it 'is told by reading and mornings what Bayes on a grid is told' do
    events = [read(-9.0), *dawns('started', -9.0, [5, 6]), *dawns('failed', -16.0, [7]), *dawns('slow', -11.0, [8])]
    stays = 1 - Wattomneum::ColdStart::Table.figure('threshold', 'fades_each_morning')
    cells = (-500..200).map { |step| step * 0.1 }
    noise = Math.sqrt(((8.0 * (0.05 + (0.8 * 0.0096)))**2) + (Wattomneum::ColdStart::Table.figure('night', 'morning_celsius')**2) + (0.5**2))
    below = ->(z) { Wattomneum::Numerics::Normal.below(z) }
    off = 8.0 * 1.25 * 0.0096
    weights = cells.map do |cell|
      likely = events.drop(1).each_with_index.map do |dawn, index|
        low = dawn.low_celsius
        under, over = { 'failed' => [low, 99.0], 'slow' => [low - 2.4, low], 'started' => [-99.0, low - 2.4] }.fetch(dawn.outcome)
        ((0.98 * (below.call((over - cell - off) / noise) - below.call((under - cell - off) / noise))) + 0.02)**(stays**(3 - index))
      end
      Math.exp(-0.5 * ((((cell + 16.0)**2) / 25.0) + (((cell + 13.0)**2) / (1.44 * 9.0)))) * likely.reduce(:*)
    end
    mean = cells.zip(weights).sum { |cell, weight| cell * weight } / weights.sum
    heard = history.hear(events)
    expect(known(heard).celsius).to be_within(0.1).of(mean)
    expect(heard.count).to eq(4)
  end

  it 'says the same of one morning after the other as of all at once, and of the last one said otherwise' do
    events = [read(-11.0), *dawns('started', -8.0, 1..10), change('mend', 10.5), *dawns('failed', -14.0, [12])]
    whole = history.hear(events)
    before = history.hear(events[0..-2]).state
    expect(history.from(before, nil).hear(events.last(1)).state).to eq(whole.state)
    expect(known(history.from(before, nil).hear(dawns('started', -14.0, [12]))).celsius).to be < known(whole).celsius - 1
  end

  it 'does not count ten failures before a mend against ten good starts after it' do
    failed = dawns('failed', -5.0, 1..10)
    started = dawns('started', -9.0, 12..21)
    mended = history.hear([read(-8.0), *failed, change('mend', 11.5), *started])
    left = history.hear([read(-8.0), *failed, *started])
    expect(chance(mended, -8.0)).to be < 0.25
    few = [[change('mend', 11.5)], []].map { |done| history.hear([read(-8.0), *failed, *done, *started.first(3)]) }
    expect(chance(few.first, -8.0)).to be < chance(few.last, -8.0) - 0.1
    expect(chance(mended, -8.0)).to be <= chance(left, -8.0) + 0.01
  end

  it 'is surer of a start that was mended, never darker, and less sure of how sure' do
    bad = [read(-4.0), *dawns('failed', -5.0, 1..3)]
    before = history.hear(bad)
    %w[mend battery heater].each do |kind|
      after = history.hear([*bad, change(kind, 4.5)])
      expect(chance(after, -7.0)).to be < chance(before, -7.0), kind
      expect(known(after).variance).to be > known(before).variance
    end
    oil = history.hear([*bad, change('oil', 4.5)])
    expect(known(oil)).to have_attributes(celsius: be_within(2.0).of(known(before).celsius), variance: be > known(before).variance)
  end

  it 'learns little of a unit by the mornings before its batteries, as much by those after' do
    after = history.hear([*dawns('started', -20.0, 1..6), change('battery', 7.5), read(-12.0, day: 7.5), *dawns('failed', -10.0, 9..12)])
    expect(known(after).celsius).to be > -14.0
  end

  it 'is less sure of what it learnt before the summer' do
    spring = history.hear([read(-12.0), *dawns('started', -10.0, 1..30)])
    autumn = history.hear([read(-12.0), *dawns('started', -10.0, 1..30), described_class::Dawn.new(outcome: 'other', low_celsius: -1.0, day: 300.25)])
    expect(known(autumn).variance).to be > known(spring).variance
  end

  it 'keeps the doubt of the fleet however well a unit was read' do
    doubtful = learnt.dup.tap { |one| one.doubt = 3.0 }
    expect(known(history.hear([read(-12.0)]), doubtful).variance).to be_within(1e-9).of(known(history.hear([read(-12.0)])).variance + 9.0)
  end
end
