# frozen_string_literal: true

RSpec.describe Wattomneum::Cranking do
  def after(behaviour, cranking_volt, *more, system: parallel_pair)
    judge(*ground_work(behaviour: behaviour, cranking_volt: cranking_volt, system: system), *more, system: system)
  end

  describe 'engine demand' do
    # Handbook chart, from memory.
    { 27 => 1.0, 0 => 1.55, -18 => 2.1, -29 => 3.5 }.each do |celsius, ratio|
      it("is #{ratio} of that at 27 degC at #{celsius} degC") { expect(Wattomneum::Cranking::EngineDemand.ratio(temperature_celsius: celsius.to_f)).to be_within(1e-9).of(ratio) }
    end

    it 'forecasts nothing colder than the chart' do
      expect { Wattomneum::Cranking::EngineDemand.ratio(temperature_celsius: -30.0) }.to raise_error(Wattomneum::OutOfTableRangeError)
    end
  end

  describe 'how much current flowed' do
    # Common practice: 0.3 V over 2.5 mohm is at most 120 A.
    it 'takes a sag of 0.3 V for at most 120 A' do
      expect(Wattomneum::Cranking::Flow.most_ampere(sag_volt: 0.3, bank_ohm: 0.0025)).to be_within(1e-9).of(120)
    end

    # The rest of the same moment, and the dip as the starter bites: 12.60 - 10.50 = 2.10 V, whatever the least was.
    it 'counts the sag from the rest that was read with it, and judges what the posts settle at, not their dip' do
      said = { 'rest_volt' => 12.6, 'lowest_volt' => 6.4, 'battery_temperature_celsius' => 20 }
      judged = judge(reading('posts_rest', 12.8), reading('cranking_behaviour', 'normal'), reading('posts_cranking', 10.5, conditions: said))
      expect(judged.verdict).to eq('sound')
      expect(judged.arithmetic.join("\n")).to include('sag 12.60 V - 10.50 V = 2.10 V').and include('lowest 6.40 V as it bites: not judged')
    end

    it 'lets a clamp meter win over the sag' do
      readings = ground_work(behaviour: 'click', cranking_volt: 12.3) + [reading('cranking_current', 580.0)]
      circumstances = Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: readings)
      flow = Wattomneum::Cranking::Flow.new(reading('ground_drop', 0.1), circumstances)
      expect([flow.estimate.source, flow.adequate?]).to eq(['clamp', true])
    end

    it 'knows nothing while nothing was said' do
      flow = Wattomneum::Cranking::Flow.new(reading('ground_drop', 0.1),
                                            Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: []))
      expect([flow.estimate, flow.adequate?]).to eq([nil, nil])
    end
  end

  describe 'drops' do
    it 'convicts a large one at any current: an open joint drops everything' do
      judged = after('click', 12.3, reading('ground_drop', 11.2))
      expect([judged.verdict, judged.traps.first]).to match(['act', include('always convicts')])
    end

    it 'clears a small one once the engine turned' do
      expect(after('slow', 10.9, reading('positive_drop', 0.31)).verdict).to eq('sound')
    end

    it 'leaves a small one unproven behind a click with little sag, and names the load that would prove it' do
      judged = after('click', 12.4, reading('ground_drop', 0.04))
      expect([judged.verdict, judged.validity, judged.would_be]).to eq(%w[unproven void sound])
      expect(judged.instead).to include('300 to 500 A')
      expect(judged.arithmetic.join).to include('at most 152 A') # 0.2 V over 1.32 mohm, the least two of 800 A can have
    end

    it 'leaves a small one unproven while nobody knows the current' do
      expect(judge(reading('ground_drop', 0.1)).validity).to eq('unstated')
    end

    # Milliohms both ways: 0.25 V at 350 A is 0.43 V at the usual 600 A; 1400 A through 0.25 mohm is 0.35 V, and sound.
    it 'judges the milliohms: what is small at little current may fail, what is large at much may be sound' do
      judged = after('slow', 11.2, reading('cranking_current', 350.0), reading('ground_drop', 0.25))
      expect(judged.figures[:resistance_ohm]).to be_within(1e-6).of(0.25 / 350)
      expect([judged.verdict, judged.summary,
              judged.arithmetic.join]).to match(['act', include('0.43 V lost'), include('at the usual current, 600 A: 0.43 V')])
      large = after('slow', 9.8, reading('cranking_current', 1400.0), reading('ground_drop', 0.35))
      expect([large.verdict, large.arithmetic.join]).to match(['sound', include('at the usual current, 600 A: 0.15 V')])
    end

    # 0.3 V at 600 A: the volts may be off by 1.7 mV, the clamp by 3.3 %.
    { 0.28 => 'sound', 0.3 => 'watch', 0.32 => 'act' }.each do |volt, verdict|
      it("judges #{volt} V on the ground side at the usual current as #{verdict}") {
        expect(after('slow', 10.9, reading('cranking_current', 600.0), reading('ground_drop', volt)).verdict).to eq(verdict)
      }
    end

    it 'convicts without a clamp only what fails however much may have flowed, and says so' do
      judged = after('slow', 10.9, reading('ground_drop', 0.35))
      expect([judged.verdict, judged.convicts, judged.instead]).to eq(['watch', [], 'Clamp the cable and read both at once'])
      expect(judged.arithmetic.join).to include('at most 810 A flowed')
      expect(after('slow', 10.9, reading('ground_drop', 0.45)).verdict).to eq('act')
    end

    it 'allows a 24 V feed 1.0 V and its ground 0.3 V' do
      system = series_pair
      clamp = reading('cranking_current', 400.0, system: system)
      expect(after('slow', 21.0, clamp, reading('positive_drop', 0.9, system: system), system: system).verdict).to eq('sound')
      expect(after('slow', 21.0, clamp, reading('ground_drop', 0.4, system: system), system: system).verdict).to eq('act')
    end

    it 'is proof once both sides were read in the same state' do
      one = after('slow', 10.9, reading('ground_drop', 0.1))
      both = after('slow', 10.9, reading('positive_drop', 0.2), reading('ground_drop', 0.1))
      expect([one.weight, both.weight]).to eq(%w[support proof])
    end
  end

  describe 'posts while cranking' do
    # Common practice: 10.6 V is good.
    it 'finds 10.6 V good' do
      expect(after('normal', 10.6).verdict).to eq('sound')
    end

    # An engine that turns free by hand still drags by its oil; so does a starter by its bush, and only warm do they part.
    it 'suspects oil, engine or lock behind an ampere that is high in the cold, and the starter too once the engine turned free' do
      seen = [*ground_work(behaviour: 'slow', cranking_volt: 9.6)]
      drags = reading('cranking_current', 1060.0, conditions: { 'engine_temperature_celsius' => -12, 'value_confirmed' => 'yes' })
      locked, free = [[], [reading('engine_by_hand', 'free')]].map { |turned| judge(*seen, *turned, drags) }
      expect([locked.verdict, locked.rules_in]).to eq(['watch', ['Drag in the cold: oil, engine or hydraulic lock']])
      expect(free.rules_in).to match([include('a starter that binds').and(include('Crank it once warm'))])
    end

    it 'asks less of a cold battery, by the load-test column' do
      at = ->(celsius) { reading('posts_cranking', 9.3, conditions: { 'battery_temperature_celsius' => celsius, 'value_confirmed' => 'yes' }) }
      expect([at.call(0), at.call(20)].map { |one| judge(reading('cranking_behaviour', 'slow'), one).verdict }).to eq(%w[sound act])
    end

    it 'asks for the temperature where it would decide, and only there' do
      asked = judge(reading('cranking_behaviour', 'slow'), reading('posts_cranking', 9.2))
      expect([asked.verdict, asked.validity, asked.instead]).to eq(['unproven', 'unstated', 'Say the temperature of the batteries'])
      expect([10.2, 8.0].map { |volt| judge(reading('cranking_behaviour', 'slow'), reading('posts_cranking', volt)).verdict }).to eq(%w[sound act])
    end

    # 9.6 V: 0.5 % and 2 digits are 0.07 V.
    it 'is at the limit within what the meter may be off' do
      verdicts = [9.52, 9.6, 9.68].map do |volt|
        judge(reading('posts_cranking', volt, conditions: { 'battery_temperature_celsius' => 20, 'value_confirmed' => 'yes' })).verdict
      end
      expect(verdicts).to eq(%w[act watch sound])
    end

    it 'doubles that column for a series pair: two batteries, each allowed its own' do
      cold = reading('posts_cranking', 18.4, conditions: { 'battery_temperature_celsius' => 0, 'value_confirmed' => 'yes' })
      expect(judge(reading('cranking_behaviour', 'slow', system: series_pair), cold, system: series_pair).verdict).to eq('sound')
    end

    it 'says that a bank which hardly sagged was hardly loaded' do
      expect(after('click', 12.4).traps.first).to include('hardly loaded')
    end

    it 'reads posts that fall to nothing as a connection at the battery' do
      expect(after('lamps_die', 1.4).rules_in).to eq(['A connection at the battery'])
    end
  end

  describe 'signal at the solenoid' do
    it 'is good within 1.0 V of the posts and convicts the control side beyond' do
      expect(after('click', 12.0, reading('solenoid_signal', 11.1)).clears).to include('wire 19', 'K1')
      expect(after('click', 12.0, reading('solenoid_signal', 11.0)).verdict).to eq('watch')
      now = { 'posts_now_volt' => 10.5, 'value_confirmed' => 'yes' }
      expect(after('click', 12.0, reading('solenoid_signal', 9.9, conditions: now)).clears).to include('wire 19', 'K1')
      low = after('silent', 12.5, reading('solenoid_signal', 7.0))
      expect([low.verdict, low.convicts]).to eq(['act', []])
    end

    it 'says that the volts are lost on the way there, and convicts nothing: that is for what is read straight across' do
      low = after('silent', 12.5, reading('positive_drop', 0.1), reading('solenoid_signal', 7.0))
      expect([low.verdict, low.weight, low.convicts, low.rules_in.join]).to match(['act', 'support', [], include('things that can be at fault')])
    end

    it 'clears nothing where nobody knows whether its coil drew anything' do
      expect(after('silent', 12.5, reading('solenoid_signal', 12.3)).to_h).to include(verdict: 'unproven', would_be: 'sound', clears: [])
    end

    it 'is judged against the posts only' do
      expect(judge(reading('solenoid_signal', 11.0)).instead).to eq('Read the posts in the same state, or say them beside it')
    end
  end

  describe 'straight across the starter' do
    it 'proves a starter open that gets full volts and draws nothing; the cables stay unproven' do
      judged = after('click', 12.5, reading('starter_terminal', 12.4))
      expect([judged.convicts, judged.traps.first]).to match([['starter'], include('cables stay unproven')])
    end

    it 'sends volts that never arrive back to feed and ground' do
      expect(after('click', 12.3, reading('starter_terminal', 1.1)).rules_in).to eq(['Resistance in feed or ground'])
    end

    it 'convicts nobody while the current is not known' do
      judged = judge(reading('posts_cranking', 12.4), reading('starter_terminal', 12.3))
      expect([judged.verdict, judged.convicts]).to eq(['unproven', []])
    end
  end

  it 'convicts a locked engine and clears one that turns free' do
    expect(judge(reading('engine_by_hand', 'locked')).convicts).to eq(['engine'])
    expect(judge(reading('engine_by_hand', 'free')).clears).to eq(['engine'])
  end

  it 'gives the bank resistance from a crank test with a clamp' do
    judged = judge(reading('posts_rest', 12.6), reading('posts_cranking', 10.8), reading('cranking_current', 600.0))
    expect(judged.figures[:bank_resistance_ohm]).to be_within(1e-6).of(0.003)
  end

  # The cranking table (common practice): volts, current and turning together.
  {
    ['slow', 9.0, 610.0] => 'Battery weak', ['slow', 9.2, 1100.0] => 'Drag', ['slow', 11.9, 200.0] => 'Resistance in main cables',
    ['click', 12.4, 20.0] => 'Solenoid contacts or starter', ['silent', 12.5, 0.0] => 'Control side',
    ['chatters', 8.0, 300.0] => 'Weak bank', ['spins_free', 12.0, 150.0] => 'Drive or ring gear', ['jerk', 6.0, 1500.0] => 'Drag'
  }.each do |(behaviour, volt, ampere), reads_as|
    it "reads #{behaviour} at #{volt} V and #{ampere} A as: #{reads_as}" do
      readings = ground_work(behaviour: behaviour, cranking_volt: volt) + [reading('cranking_current', ampere)]
      circumstances = Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: readings)
      rows = Wattomneum::Cranking::Table.new(circumstances, round: 0).matches
      expect(rows.map(&:reads_as)).to include(start_with(reads_as))
    end
  end

  it 'reads nothing from the table while nobody saw it cranked' do
    expect(Wattomneum::Cranking::Table.new(Wattomneum::Evidence::Circumstances.new(system: parallel_pair, readings: []),
                                           round: 0).matches).to be_empty
  end
end
