# frozen_string_literal: true

# The cranking table, common practice: volts, current and turning together.
RSpec.describe Wattomneum::Cranking::Table do
  def reads_as(behaviour, posts: nil, ampere: nil, rest: 12.6)
    readings = [reading('cranking_behaviour', behaviour), reading('posts_rest', rest)]
    readings << reading('posts_cranking', posts) if posts
    readings << reading('cranking_current', ampere) if ampere
    table = described_class.new(Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: readings), round: 0)
    table.matches.map(&:reads_as)
  end

  # The unit usually takes 600 A.
  [
    ['slow', { posts: 8.9, ampere: 950.0 }, /Drag: engine tight/],
    ['slow', { posts: 9.1, ampere: 600.0 }, /Battery weak or flat/],
    ['slow', { posts: 11.8, ampere: 260.0 }, /Resistance in main cables, grounds, isolator/],
    ['click', { posts: 12.4, ampere: 20.0 }, /Solenoid contacts or starter, or resistance in feed or ground/],
    ['silent', { posts: 12.6, ampere: 0.0 }, /Control side: start relay/],
    ['lamps_die', { posts: 1.5 }, /A connection at the battery/],
    ['chatters', { posts: 8.0 }, /Weak bank or a joint/],
    ['spins_free', { posts: 11.9, ampere: 200.0 }, /Drive or ring gear/],
    ['jerk', { posts: 6.0, ampere: 1400.0 }, /Shorted starter or locked engine: turning it by hand decides/]
  ].each do |behaviour, measured, words|
    it("reads #{behaviour} with #{measured} as #{words.source[0, 40]}") { expect(reads_as(behaviour, **measured)).to include(match(words)) }
  end

  it 'says nothing while nobody saw it crank' do
    table = described_class.new(Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: [reading('posts_cranking', 12.0)]), round: 0)
    expect(table.matches).to be_empty
  end

  it 'leaves open what was not measured: a click alone fits several rows, a measured one fewer' do
    expect(reads_as('click').size).to be > reads_as('click', posts: 12.4, ampere: 20.0).size
  end

  it 'takes the most that a sag allows where no clamp was on: 0.1 V over 1.3 mohm is at most 77 A of 600' do
    readings = [reading('cranking_behaviour', 'click'), reading('posts_rest', 12.6), reading('posts_cranking', 12.5)]
    circumstances = Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: readings)
    expect(described_class.new(circumstances, round: 0).current_class).to eq('none')
  end

  it 'judges posts by the battery temperature where it was said: 9.0 V is high at -5 degC and low at 20' do
    classes = [-5, 20].map do |celsius|
      posts = reading('posts_cranking', 9.05, conditions: { 'battery_temperature_celsius' => celsius, 'value_confirmed' => 'yes' })
      described_class.new(Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: [posts]), round: 0).volts_class
    end
    expect(classes).to eq(%w[high low])
  end

  it 'reads only the round it is asked for: what was measured before a repair belongs to the broken circuit' do
    readings = [reading('cranking_behaviour', 'click', round: 0), reading('cranking_behaviour', 'slow', round: 1),
                reading('posts_cranking', 9.0, round: 1), reading('cranking_current', 600.0, round: 1)]
    circumstances = Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: readings)
    expect(described_class.new(circumstances, round: 1).matches.map(&:reads_as)).to eq(['Battery weak or flat'])
  end
end
