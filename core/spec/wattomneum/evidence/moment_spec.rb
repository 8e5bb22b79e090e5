# frozen_string_literal: true

# What cannot be true together is said before any of it clears or convicts; what differs by no more than two cranks do is left alone. Kirchhoff.
RSpec.describe Wattomneum::Evidence::Moment do
  def judged(*readings, system: parallel_pair)
    circumstances = Wattomneum::Evidence::Circumstances.new(system: system, readings: readings)
    readings.to_h { |one| [one.test_key, circumstances.moment.held_against(verdict_of(one))] }
  end

  def verdict_of(reading)
    Wattomneum::Evidence::Judgement.new(reading_id: reading.id, verdict: 'act', validity: 'valid', weight: 'proof', code: 'drop.over',
                                        summary: 'made up', convicts: ['engine_ground'])
  end

  def crank(**volts) = volts.map { |key, volt| reading(key.to_s, volt) }

  it 'lets no drops count that are more than the posts hold' do
    found = judged(*crank(posts_cranking: 11.2, positive_drop: 4.0, ground_drop: 9.0))
    expect(found.values.map { |one| [one.verdict, one.would_be, one.validity, one.convicts] }).to all(eq(['unproven', 'act', 'void', []]))
    expect(found['ground_drop'].reasons).to eq(['4.00 V + 9.00 V cannot be: the posts stood at 11.20 V in that moment'])
    expect(found['ground_drop'].instead).to include('in one crank')
  end

  it 'lets a starter and drops count that add up, and none that leave volts out' do
    sound = judged(*crank(posts_cranking: 10.4, positive_drop: 0.3, ground_drop: 0.2, starter_terminal: 9.9))
    expect(sound.values.map(&:verdict)).to all(eq('act'))
    lost = judged(*crank(posts_cranking: 10.4, positive_drop: 0.3, ground_drop: 0.2, starter_terminal: 4.0))
    expect(lost.values.map(&:verdict)).to all(eq('unproven'))
  end

  # A slip ten times too large in one of them voided all four, and the others were read again instead of it (a blind run).
  it 'says who fits least: the largest drop where they are too much, the smallest where volts are left out' do
    doubted = ->(**volts) { Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: crank(**volts)).moment.doubtful(0).map(&:test_key) }
    expect(doubted.call(posts_cranking: 11.3, positive_drop: 2.84, ground_drop: 0.2, starter_terminal: 10.8))
      .to eq(%w[positive_drop ground_drop starter_terminal posts_cranking])
    expect(doubted.call(posts_cranking: 10.4, positive_drop: 0.3, ground_drop: 0.0, starter_terminal: 4.0).first).to eq('ground_drop')
    expect(doubted.call(posts_cranking: 10.4, positive_drop: 0.3, ground_drop: 0.2, starter_terminal: 9.9)).to eq([])
  end

  # A tenth and more lies between two cranks of one battery: common practice.
  it 'leaves alone what differs as two cranks do, drops of which one was not read, and a bank that was cranked meanwhile' do
    expect(judged(*crank(posts_cranking: 9.9, positive_drop: 0.4, ground_drop: 10.2)).values.map(&:verdict)).to all(eq('act'))
    expect(judged(*crank(posts_cranking: 11.2, ground_drop: 14.0)).values.map(&:verdict)).to all(eq('act'))
    rests = %w[A B].map { |position| reading('rest_voltage', 12.7, position: position) }
    expect(judged(*rests, reading('posts_rest', 12.1))['posts_rest'].verdict).to eq('act')
  end

  it 'brings no earlier reading back to life by reading it again, unless what is read then can be' do
    cannot = crank(posts_cranking: 11.2, positive_drop: 4.0, ground_drop: 9.0)
    again = reading('ground_drop', 9.2)
    circumstances = ->(*more) { Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: [*cannot, *more]) }
    held = ->(all, one) { all.moment.held_against(verdict_of(one)).verdict }
    expect([cannot.last, again].map { |one| held[circumstances[again], one] }).to eq(%w[unproven unproven])
    expect(held[circumstances[again, reading('ground_drop', 0.2)], cannot[1]]).to eq('act')
  end

  it 'goes by the posts that were said beside a drop, where those of the crank before were others' do
    beside = { 'posts_now_volt' => 10.6 }
    drops = [reading('positive_drop', 0.4, conditions: beside), reading('ground_drop', 9.9, conditions: beside)]
    expect(judged(reading('posts_cranking', 7.6), *drops).values.map(&:verdict)).to all(eq('act'))
    expect(judged(reading('posts_cranking', 7.6), *crank(positive_drop: 0.4, ground_drop: 9.9)).values.map(&:verdict)).to all(eq('unproven'))
  end

  it 'says of a bank what its batteries cannot make, side by side and in a row, and not of one that was charged since' do
    rests = ->(volts) { %w[A B].zip(volts).map { |position, volt| reading('rest_voltage', volt, position: position) } }
    expect(judged(*rests[[12.6, 12.6]], reading('posts_rest', 11.2))['posts_rest'].reasons).to eq(
      ['A bank at 11.20 V of batteries at 12.60 V and 12.60 V cannot be: one of them, or a link between them']
    )
    expect(judged(*rests[[12.6, 10.6]], reading('posts_rest', 11.2))['posts_rest'].verdict).to eq('act')
    in_a_row = ->(volt) { judged(*rests[[12.6, 12.6]], reading('posts_rest', volt), system: series_pair)['posts_rest'].verdict }
    # With its link open a row of them shows less: that is a fault, and convicts.
    expect([27.5, 25.2, 12.6, 0.3].map(&in_a_row)).to eq(%w[unproven act act act])
    expect(judged(reading('posts_rest', 11.2), *rests[[12.6, 12.6]])['posts_rest'].verdict).to eq('act')
  end

  it 'holds no reading against one of another moment: a start that comes and goes, or one that was mended in between' do
    cranked = { 'engine_meanwhile' => 'cranks' }
    stood = { 'engine_meanwhile' => 'does not turn' }
    found = judged(reading('posts_cranking', 11.2, conditions: cranked), reading('positive_drop', 4.0, conditions: stood),
                   reading('ground_drop', 9.0, conditions: stood))
    expect(found.values.map(&:verdict)).to all(eq('act'))
    mended = judged(reading('posts_cranking', 11.2), reading('positive_drop', 4.0), reading('ground_drop', 9.0, round: 1))
    expect(mended.values.map(&:verdict)).to all(eq('act'))
  end

  it 'keeps a drop from convicting along the circuit too' do
    judgement = judge(*ground_work(behaviour: 'click', cranking_volt: 11.2), reading('positive_drop', 4.0), reading('ground_drop', 9.0))
    expect([judgement.verdict, judgement.would_be, judgement.convicts]).to match(['unproven', 'act', []])
  end
end
