# frozen_string_literal: true

RSpec.describe Wattomneum::Faults::NextStep do
  def step(readings, **rest) = assess(readings, **rest).next_step
  def repair(element, failing, **rest) = Wattomneum::Jobs::Repair.new(id: 'm1', element: element, failing_reading_id: failing.id, **rest)

  it 'begins by seeing it fail, measures at the key what fails there, looks, then takes the batteries one by one' do
    readings = []
    answers = { 'cranking_behaviour' => 'click', 'connections_look' => 'clean', 'posts_rest' => 12.6, 'posts_cranking' => 12.4,
                'ground_drop' => 0.02, 'positive_drop' => 0.02, 'rest_voltage' => 12.6, 'battery_test' => 790.0 }
    asked = Array.new(10) do
      found = step(readings)
      answer = answers.fetch(found.test_key)
      readings += [reading(found.test_key, answer, position: found.position)]
      [found.test_key, found.position].compact.join(' ')
    end
    expect(asked).to eq(['cranking_behaviour', 'ground_drop', 'positive_drop', 'posts_rest', 'posts_cranking', 'connections_look', 'rest_voltage A',
                         'battery_test A', 'rest_voltage B', 'battery_test B'])
  end

  it 'charges a discharged battery before it is tested' do
    found = step([reading('cranking_behaviour', 'jerk'), reading('connections_look', 'clean'), reading('rest_voltage', 12.2, position: 'A')])
    expect([found.kind, found.position, found.test_key]).to eq(%w[charge A rest_voltage])
  end

  # Under 11.5 V a battery every other test would be void.
  it 'charges a dead bank before anything is measured at the key' do
    dead = [reading('cranking_behaviour', 'click'), reading('connections_look', 'clean'), reading('posts_rest', 10.9)]
    expect(step(dead).test_key).to eq('rest_voltage')
    flat = reading('rest_voltage', 10.4, position: 'A')
    expect(step([*dead, flat]).kind).to eq('charge')
    expect(judge(flat).convicts).to be_empty
    again = ->(volt, charged) { judge(flat, reading('rest_voltage', volt, position: 'A', taken_at: 99, conditions: said_of(charged))) }
    expect([again.call(10.7, 'yes').convicts, again.call(10.7, 'yes').summary]).to match([['battery'], include('a cell is shorted')])
    expect([again.call(10.7, 'no').convicts, again.call(11.8, 'yes').convicts]).to eq([[], []])
  end

  def said_of(charged) = all_said(Wattomneum::Readings::Catalogue.fetch('rest_voltage'), parallel_pair).merge('charged_since' => charged)

  # Five cells charge to 10.6 V and stay there: it was charged without end (a blind run of 189 minutes).
  it 'condemns a battery that is low again after charging, or low with a cell far under the others' do
    seen = [reading('cranking_behaviour', 'slow'), reading('connections_look', 'clean'), reading('posts_rest', 10.7)]
    charged = [reading('rest_voltage', 10.6, position: 'A'), reading('rest_voltage', 10.7, position: 'A', conditions: said_of('yes'))]
    odd = [reading('hydrometer', nil, position: 'A', cells: [1.27, 1.265, 1.27, 1.09, 1.27, 1.268]), reading('rest_voltage', 10.7, position: 'A')]
    [charged, odd].each do |shown|
      expect(step([*seen, *shown]).then { |one| [one.kind, one.element, one.position] }).to eq(%w[condemn battery A])
    end
  end

  # Who charges it and says nothing of it was told to charge it again, without end.
  it 'asks whether a battery that is low again was charged, and goes on after the second time' do
    low = ->(at) { reading('rest_voltage', 10.6, position: 'A', taken_at: at, conditions: said_of('not_said')) }
    seen = [reading('cranking_behaviour', 'slow'), reading('connections_look', 'clean'), reading('posts_rest', 10.7)]
    expect(step([*seen, low.call(90)]).kind).to eq('charge')
    again = step([*seen, low.call(90), low.call(91)])
    expect([again.kind, again.why]).to match(['repeat', include('Say whether it was charged')])
    expect(step([*seen, low.call(90), low.call(91), low.call(92)]).then { |one| [one.test_key, one.position] }).not_to eq(%w[rest_voltage A])
  end

  it 'leaves the batteries alone where the posts hold under the cranking current' do
    seen = [reading('cranking_behaviour', 'slow'), reading('connections_look', 'clean'), reading('posts_rest', 12.6), reading('posts_cranking', 11.0),
            reading('cranking_current', 600.0), reading('ground_drop', 0.1), reading('positive_drop', 0.2)]
    expect(step(seen).test_key).to eq('starter_terminal')
  end

  it 'leaves the start circuit to what starts and dies, and says where to look' do
    seen = [reading('cranking_behaviour', 'starts_and_dies'), reading('connections_look', 'clean'), reading('posts_rest', 12.6),
            reading('posts_cranking', 11.2), reading('charging_fast_idle', 14.2)]
    found = step(seen)
    expect([found.kind, found.title]).to match(['watch', include('fuel supply and stop circuit')])
  end

  # It has its volts and stays dark, in a job about charging that names no part of the circuit: the program stopped (a blind run).
  it 'mends a charge lamp that has its volts and stays dark' do
    across = Wattomneum::Readings::Probe.new(by: 'volts', from: 'H1:1', to: 'H1:2', situation: 'key_on')
    posts = Wattomneum::Readings::Probe.new(by: 'volts', from: 'BAT_A:+', to: 'BAT_A:-', situation: 'key_on')
    points = [[posts, 12.7], [across, 12.4]].each_with_index.map do |(probe, volt), at|
      Wattomneum::Readings::PointReading.new(id: "p#{at}", probe: probe, value: volt, taken_at: 900 + at, conditions: { 'meanwhile' => 'dead' })
    end
    dark = [reading('charge_lamp_key_on', 'dark'), reading('belt_look', 'clean')]
    expect(step(dark, points: points, symptom: Wattomneum::Jobs::Symptom.of('charging')).then { |one| [one.kind, one.unit] }).to eq(%w[repair H1])
  end

  # A new starter spins free too where the teeth are gone.
  it 'condemns a drive that spins free once the ring gear was looked at, without any drops' do
    spins = [reading('cranking_behaviour', 'spins_free')]
    expect(step(spins).test_key).to eq('ring_gear_look')
    found = step([*spins, reading('ring_gear_look', 'whole')])
    expect([found.kind, found.element]).to eq(%w[condemn starter])
    worn = step([*spins, reading('ring_gear_look', 'worn')])
    expect([worn.kind, worn.why]).to match(['watch', include('Teeth of the ring gear, not the starter')])
  end

  it 'never condemns because nothing else is left: it says what is suspected' do
    all = ground_work(behaviour: 'slow', cranking_volt: 11.0) +
          [reading('cranking_current', 300.0), reading('ground_drop', 0.05), reading('positive_drop', 0.1), reading('solenoid_signal', 10.9),
           reading('starter_terminal', 10.8), reading('engine_by_hand', 'free')]
    # The last thing that could speak against it: the drop over its own contact.
    contact = Wattomneum::Readings::Probe.new(by: 'volts', from: 'K2:30', to: 'K2:87', situation: 'cranking')
    expect(step(all).probe).to eq(contact)
    whole = Wattomneum::Readings::PointReading.new(id: 'contact', probe: contact, value: 0.03, taken_at: 900)
    parked = step(all, points: [whole])
    expect([parked.kind, parked.title]).to eq(['watch', 'No part is proved: park it with what is suspected'])
  end

  it 'condemns a starter that takes far more than the engine asks for, once the engine is free and the path sound' do
    seen = ground_work(behaviour: 'slow', cranking_volt: 9.9) + [reading('ground_drop', 0.1), reading('positive_drop', 0.2)]
    warm = { 'value_confirmed' => 'yes', 'engine_temperature_celsius' => 20, 'engine_meanwhile' => 'slow' }
    high = [*seen, reading('cranking_current', 980.0, conditions: warm)]
    expect(step(high).test_key).to eq('engine_by_hand')
    expect(step([*high, reading('engine_by_hand', 'free')]).kind).to eq('condemn')
    cold = [*seen, reading('cranking_current', 980.0, conditions: warm.merge('engine_temperature_celsius' => -15)), reading('engine_by_hand', 'free')]
    expect(step(cold).kind).not_to eq('condemn')
  end

  it 'does not offer the same reading twice as it was: it says what would make it count, and goes on after the second' do
    void = -> { reading('rest_voltage', 12.6, position: 'A', conditions: { 'value_confirmed' => 'yes' }) }
    seen = [reading('cranking_behaviour', 'jerk'), reading('connections_look', 'clean'), void.call]
    again = step(seen)
    expect([again.kind, again.title,
            again.why]).to match(['repeat', start_with('Once more, so that it counts'), include('Say it and the reading counts')])
    expect([step([*seen, void.call]).test_key, step([*seen, void.call]).position]).to eq(%w[battery_test A])
  end

  it 'goes to the signal first when it is silent, to the amperes when it is slow, to the ground drop when it clicks' do
    asked = { 'silent' => 12.5, 'slow' => 10.9, 'click' => 12.4 }.map do |behaviour, volt|
      step(ground_work(behaviour: behaviour, cranking_volt: volt)).test_key
    end
    expect(asked).to eq(%w[solenoid_signal cranking_current ground_drop])
  end

  it 'tells a weak bank from a locked engine by the amperes when the posts fall' do
    falling = ground_work(behaviour: 'click', cranking_volt: 7.0)
    expect(step(falling).test_key).to eq('cranking_current')
    expect(step([*falling, reading('cranking_current', 1200.0), reading('ground_drop', 0.05),
                 reading('positive_drop', 0.05)]).test_key).to eq('engine_by_hand')
    drops = [reading('ground_drop', 0.05), reading('positive_drop', 0.05)]
    links = [%w[BAT_A:+ BAT_B:+], %w[BAT_A:- BAT_B:-]].map do |from, to|
      probe = Wattomneum::Readings::Probe.new(by: 'volts', from: from, to: to, situation: 'cranking')
      Wattomneum::Readings::PointReading.new(id: from, probe: probe, value: 0.05, taken_at: 900)
    end
    weak = [*falling, reading('cranking_current', 600.0), *drops]
    expect(step(weak).why).to eq('The posts fall: is it a battery, or what joins them?')
    expect(step(weak, points: links).test_key).to eq('load_test')
  end

  describe 'behind a failing ground' do
    let(:failing) { reading('ground_drop', 11.2) }
    let(:readings) { [*ground_work(behaviour: 'click', cranking_volt: 12.3), failing, reading('positive_drop', 0.05)] }

    # Between two points of the unit's own circuit.
    def at(from, to, value, taken_at: 500, **rest)
      probe = Wattomneum::Readings::Probe.new(by: 'volts', from: from, to: to, situation: 'cranking')
      Wattomneum::Readings::PointReading.new(id: "#{from} #{to} #{taken_at}", probe: probe, value: value, taken_at: taken_at, **rest)
    end

    def asked(*points) = step(readings, points: points).probe.then { |probe| [probe.from, probe.to] }

    it 'cuts the path where it says most for its minutes, joint by joint, and says what is not placed yet' do
      found = step(readings)
      expect([found.probe.from, found.probe.to,
              found.why]).to match(['M1:case', 'G2:joint', include('11.20 V is lost between starter case and negative post')])
      expect(asked(at('M1:case', 'G2:joint', 11.1))).to eq(%w[FRAME:metal G2:joint])
      expect(asked(at('M1:case', 'G2:joint', 0.05))).to eq(%w[G2:joint G2:5])
    end

    it 'takes old readings over a piece of the path for what they are' do
      strap = reading('block_strap_drop', 0.01)
      expect(step([*readings, strap]).probe.to_h.values_at(:from, :to)).to eq(%w[M1:case G2:joint])
      frame = reading('negative_cable_drop', 11.1)
      expect(step([*readings, strap, frame]).probe.to_h.values_at(:from, :to)).to eq(%w[FRAME:metal G2:5])
    end

    # A lead that did not touch gave 0.00 V over the very piece that held the fault, the whole was read again, and the search was given up.
    it 'reads a piece once more where they do not add up, the one that should hold it first, then the whole, then every other' do
      nodes = %w[M1:case BLOCK:metal FRAME:metal G2:joint G2:5] + ['BAT_A:- clamp 5', 'BAT_A:-']
      before = [*readings, reading('cranking_current', 580.0)]
      points = nodes.each_cons(2).map { |from, to| at(from, to, 0.02) }
      first = step(before, points: points)
      expect([first.kind, first.title, first.why]).to match(['repeat', start_with('Once more'), include('do not add up to the whole')])
      expect(first.probe).not_to be_nil
      again = at(first.probe.from, first.probe.to, 0.02, taken_at: 510)
      whole = step(before, points: [*points, again])
      expect([whole.kind, whole.why]).to match(['repeat', include('may be wrong')])
      twice = [*before, reading('ground_drop', before.find { |one| one.test_key == 'ground_drop' }.value)]
      other = step(twice, points: [*points, again])
      expect(other.kind).to eq('repeat')
      expect(other.probe).not_to be_alike(first.probe)
    end

    it 'mends what is convicted, and names the reading that will prove it' do
      strap = reading('block_strap_drop', 11.0)
      found = step([*readings, strap])
      expect([found.kind, found.unit, found.title, found.failing_reading_id]).to eq(['repair', 'wire strap', 'Mend: Strap, BLOCK to FRAME', strap.id])
    end

    it 'proves it by the same test, once it is known what the engine did' do
      strap = reading('block_strap_drop', 11.0)
      repairs = [repair('block_strap', strap)]
      expect(step([*readings, strap], repairs: repairs).test_key).to eq('cranking_behaviour')
      cranked = reading('cranking_behaviour', 'normal', round: 1)
      found = step([*readings, strap, cranked], repairs: repairs)
      expect([found.kind, found.probe.from, found.probe.to, found.failing_reading_id]).to eq(['prove', 'BLOCK:metal', 'FRAME:metal', strap.id])
    end

    it 'puts back what was disturbed before it closes' do
      strap = reading('block_strap_drop', 11.0)
      done = [*readings, strap, reading('cranking_behaviour', 'normal', round: 1), reading('block_strap_drop', 0.04, round: 1)]
      repairs = [repair('block_strap', strap)]
      expect([step(done, repairs: repairs).test_key, step(done, repairs: repairs).why]).to match(['ground_drop', include('owed as a whole')])
      done << reading('ground_drop', 0.1, round: 1)
      expect([step(done, repairs: repairs).test_key, step(done, repairs: repairs).why]).to match(['positive_drop', include('want of current')])
      done << reading('positive_drop', 0.2, round: 1)
      expect(step(done, repairs: repairs, disturbed_count: 1).kind).to eq('put_back')
      expect(step(done, repairs: repairs).kind).to eq('close')
    end

    it 'goes on looking when the part is proved and it still does not crank' do
      strap = reading('block_strap_drop', 11.0)
      still = [*readings, strap, reading('cranking_behaviour', 'click', round: 1), reading('posts_cranking', 12.4, round: 1),
               reading('cranking_current', 560.0, round: 1), reading('block_strap_drop', 0.04, round: 1)]
      expect(step(still, repairs: [repair('block_strap', strap)]).test_key).to eq('ground_drop')
    end
  end

  it 'climbs the rung that is missing before a suspect with a ladder is condemned' do
    stood = { 'value_confirmed' => 'yes', 'engine_meanwhile' => 'does not turn' }
    readings = ground_work(behaviour: 'click', cranking_volt: 12.5) +
               [reading('ground_drop', 0.01), reading('positive_drop', 0.01), reading('solenoid_signal', 12.1, conditions: stood),
                reading('starter_terminal', 12.45, conditions: stood)]
    expect(step(readings).test_key).to eq('engine_by_hand')
    expect(step([*readings, reading('engine_by_hand', 'free')]).kind).to eq('condemn')
  end

  it 'looks at lamp and belt first when it is about charging' do
    expect(step([], symptom: Wattomneum::Jobs::Symptom.of('charging')).test_key).to eq('charge_lamp_key_on')
    expect(step([reading('charge_lamp_key_on', 'lit')], symptom: Wattomneum::Jobs::Symptom.of('charging')).test_key).to eq('belt_look')
  end

  describe 'as it was said at intake' do
    def said(seen) = Wattomneum::Jobs::Symptom.of('charging').dup.tap { |symptom| symptom.seen = seen }
    def asleep(ampere) = reading('draw_asleep', ampere, conditions: { 'asleep_waited' => 'yes', 'value_confirmed' => 'yes' })

    it 'reads the height first where it charges too much, and goes on to what the regulator sees' do
      high = reading('charging_fast_idle', 15.0, conditions: { 'battery_temperature_celsius' => 20, 'value_confirmed' => 'yes' })
      expect(step([], symptom: said('overcharges')).test_key).to eq('charging_fast_idle')
      expect(step([reading('charging_fast_idle', 16.2)], symptom: said('overcharges')).test_key).to eq('sense_feed')
      expect(step([high], symptom: said('overcharges')).test_key).to eq('sense_feed')
      expect(step([reading('charging_fast_idle', 14.2)], symptom: said('overcharges')).test_key).to eq('connections_look')
    end

    it 'reads the draw first where it goes flat standing, finds that before anything is charged, and takes the batteries where nothing draws' do
      expect(step([], symptom: said('goes_flat')).test_key).to eq('draw_asleep')
      drawn = step([asleep(0.8)], symptom: said('goes_flat'))
      expect([drawn.kind, drawn.title, drawn.why]).to match(['watch', include('find its branch'), include('over each fuse')])
      awake = reading('draw_asleep', 2.4, conditions: { 'asleep_waited' => 'no', 'value_confirmed' => 'yes' })
      expect(step([awake], symptom: said('goes_flat')).then { |one| [one.kind, one.test_key] }).to eq(%w[repeat draw_asleep])
      expect(step([awake, awake], symptom: said('goes_flat')).test_key).to eq('connections_look')
      expect(step([asleep(0.02)], symptom: said('goes_flat')).test_key).to eq('connections_look')
      expect(step([asleep(0.02), reading('connections_look', 'clean')], symptom: said('goes_flat')).test_key).to eq('rest_voltage')
    end

    it 'says who is suspected, and what would tell, where all of it is sound' do
      sound = ground_work(behaviour: 'normal', cranking_volt: 10.9) +
              [reading('charging_fast_idle', 14.2), reading('charging_loaded', 13.9), reading('ripple', 0.02, unit: 'V pp'), asleep(0.02),
               reading('alternator_output_drop', 0.1, conditions: { 'current_ampere' => 80, 'load_on' => 'yes' }),
               reading('alternator_case_drop', 0.02, conditions: { 'current_ampere' => 80, 'load_on' => 'yes' })]
      ends = { 'overcharges' => 'the alternator with its regulator is suspected', 'goes_flat' => 'each battery in the evening and in the morning' }
      ends.each { |seen, words| expect(step(sound, symptom: said(seen)).then { |one| [one.kind, one.why] }).to match(['watch', include(words)]) }
    end
  end

  it 'reads once more what fits least of a crank that cannot be, once' do
    cannot = [*ground_work(behaviour: 'slow', cranking_volt: 11.3), reading('ground_drop', 0.2), reading('positive_drop', 2.84),
              reading('starter_terminal', 10.8)]
    found = step(cannot)
    expect([found.kind, found.test_key, found.why]).to match(['repeat', 'positive_drop', include('cannot all be true')])
    expect(step([*cannot, reading('positive_drop', 0.28)]).kind).not_to eq('repeat')
    expect(step([*cannot, reading('positive_drop', 2.84)]).test_key).to eq('ground_drop')
  end

  it 'never mends on a hint' do
    readings = ground_work(behaviour: 'normal',
                           cranking_volt: 10.9) + [reading('charge_lamp_key_on', 'dark'), reading('belt_look', 'clean')]
    expect(step(readings, symptom: Wattomneum::Jobs::Symptom.of('charging')).kind).to eq('measure')
  end

  it 'parks what it cannot see fail instead of closing it' do
    readings = ground_work(behaviour: 'normal', cranking_volt: 10.9) + [reading('charging_fast_idle', 14.2)]
    expect(step(readings).kind).to eq('watch')
  end
end
