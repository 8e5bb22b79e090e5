# frozen_string_literal: true

RSpec.describe Wattomneum::Sums::Calculator do
  def answer(key, **typed)
    described_class.call(Wattomneum::Sums::Catalogue.fetch(key), typed.transform_keys(&:to_s).transform_values(&:to_s)).answer
  end

  it 'has a public method for every sum of the table, and no other' do
    sums = described_class.public_instance_methods - Object.public_instance_methods
    expect(sums.map(&:to_s)).to match_array(Wattomneum::Sums::Catalogue::ALL.map(&:key))
  end

  # Worked by hand: 7.60 mohm/m x 5 m x 10 A; 10 AWG has 3.277 mohm/m (ASTM B258, from memory).
  it 'works out the drop of a metric wire and of a gauge' do
    expect(answer('wire_drop')).to eq('0.38 V')
    expect(answer('wire_drop', size: '10 AWG', length_m: '10', ampere: '10')).to eq('0.33 V')
    expect(['AWG 10', '#10', '10awg'].map { |size| answer('wire_drop', size: size, length_m: '10', ampere: '10') }).to all(eq('0.33 V'))
    expect { answer('wire_drop', size: 'thick') }.to raise_error(Wattomneum::InvalidQuantityError, /neither mm2 nor a gauge/)
  end

  # The check values of the trade, common practice.
  it 'repeats the worked values' do
    expect([answer('ghost_volts'), answer('fuse'), answer('terminal'), answer('fuse_draw')])
      .to eq(['1.54 Mohm', '15 A, blue', 'relay contact, closed at rest', '120 mA'])
    expect([answer('charge'), answer('rating'), answer('resistances')]).to eq(['75 %', '848 A SAE', '60 ohm in parallel'])
    expect([answer('regulated', celsius: '-15'),
            answer('drop_to_milliohm', drop_volt: '0,3', ampere: '600')]).to eq(['14.52 V to 15.42 V', '0.5 mohm'])
  end

  # Handbook of harness work: 95 A to 130 A; a day by hand: (96 - 50) x 1.5 - 2 x 4 - 8 x 0.778 x 1.15.
  it 'works out a stronger alternator and a day of work' do
    expect([answer('retrofit'), answer('duty'),
            answer('duty', driving_hours: '0.2')]).to eq(['37 % more drop', '53.8 Ah a day in hand', '6 Ah a day short'])
    expect { answer('retrofit', from_ampere: '0') }.to raise_error(Wattomneum::InvalidQuantityError, /over 0 A/)
  end

  # By hand: see the specs of spark and gauges for each.
  it 'works out caps, dwell, tachometers, speed and generator sets' do
    expect(answer('cap_map')).to eq("1 at 3, 3 at 12, 4 at 9, 2 at 6 o'clock")
    expect([answer('cap_map', rotation: 'not known'), answer('cap_check'), answer('cap_check', towers: '1 2 3 4')])
      .to eq(['one of two', 'right where the rotor turns anticlockwise', 'wrong'])
    expect([answer('dwell'), answer('w_terminal'), answer('tachometer'), answer('road_speed', old_tyre: '310 cm', new_tyre: '3.25 m'),
            answer('generator_frequency')])
      .to eq(['56 %', '17.64 pulses a turn', 'shows 8820 rpm at 1000', '4.8 % too much', '50 Hz'])
    expect(answer('road_speed', taken_at: 'wheel', old_tyre: '310 cm', new_tyre: '325 cm')).to eq('4.6 % too little')
    { 'cap_map' => [{ order: '1-3-3-2' }, /stands in it twice/], 'cap_check' => [{ towers: '1 2 3 4 5' }, /5 towers for 4/],
      'w_terminal' => [{ alternator_pulley: '0' }, /over 0/], 'generator_frequency' => [{ poles: '3' }, /come in pairs/],
      'dwell' => [{ degrees: '95' }, /0 to 90 degrees/], 'swapped_leads' => [{ weak: '9' }, /no cylinder 9/],
      'lead_lengths' => [{ leads: '10 10 10 10' }, /reaches cylinder/], 'pulses_a_turn' => [{ source: 'flywheel', count: '0' }, /over 0/],
      'sender_on_gauge' => [{ sender: '0 10; 50 90; 100 20' }, /turns back at 50/], 'gauge_check' => [{ shown: '240' }, /in pairs/],
      'road_speed' => [{ old_tyre: 'big' }, /is no size/], 'ignition_figure' => [{ kind: 'Resistor lead' }, /How long/],
      'needles' => [{ needles: 'oil odd' }, /right, high, low, dead/], 'needle_off' => [{ coil_ohm: '0' }, /over 0/],
      'preheat_draw' => [{ plugs: '40' }, /1 to 16/], 'pulses_a_km' => [{ teeth: '0' }, /over 0/] }.each do |key, (typed, words)|
      expect { answer(key, **typed) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
  end

  # By hand: 4 x 2 / 4; 130 x 1; 6 x 3.73 x 1000 / 3.2803; 10 to 180 ohm at full on 240 to 33: (240 - 180) / 2.07 = 29, 71 too little;
  # 2500 exp(3600 (1/353.15 - 1/298.15)) = 381.3.
  it 'works out sources, senders, tyres and pre-heat, each with its formula drawn in' do
    expect([answer('pulses_a_turn'), answer('pulses_a_turn', source: 'flywheel', count: 130),
            answer('pulses_a_turn', source: 'injection pump or cam')])
      .to eq(['2 pulses a turn', '130 pulses a turn', '2 pulses a turn'])
    expect([answer('pulses_a_km'), answer('sender_on_gauge'), answer('sender_on_gauge', sender: '240-33'), answer('thermistor')])
      .to eq(['6823 pulses a km', 'off by up to 100, at 0', 'they belong together', '381.29 ohm'])
    expect([answer('preheat_need'), answer('preheat_need', timer_seconds: 4), answer('preheat_draw'), answer('preheat_draw', ampere: 42)])
      .to match(['10 to 20 s at -10 degC', 'too short: it starts badly and smokes', '1 of 4 open', /fits no number/])
    # Common practice: 1 and 6 of 1-5-3-6-2-4 fire by one coil.
    expect(answer('swapped_leads', order: '1-5-3-6-2-4', weak: '1 6', wasted: 'yes')).to eq('1 and 6 share a coil')
    expect([answer('swapped_leads'), answer('swapped_leads', weak: '3'), answer('lead_lengths'), answer('ignition_figure', value: 300)])
      .to eq(['change the leads of 3 and 4', 'no lead explains that', '1: 65 cm, 2: 48 cm, 3: 35 cm, 4: 40 cm', 'not sound'])
    # 10 / (70 + 120 + 40) A, as from a sender of 160: 50 (240 - 160) / 137 = 29.2; without them 50 (240 - 120) / 137 = 43.8.
    expect([answer('needle_off'), answer('needles')]).to match(['shows 29.2, should 43.8', /stabiliser or its ground/])
    expect(answer('gauge_check')).to include('The gauge is right')
    expect(answer('cap_map', order: '1-2', first_at: 12, rotation: 'clockwise', intervals: '90 270')).to eq("1 at 12, 2 at 3 o'clock")
  end

  it 'asks whether a pulley was measured around' do
    lines = ->(**typed) { described_class.call(Wattomneum::Sums::Catalogue.fetch('w_terminal'), typed.transform_keys(&:to_s)).lines.join(' ') }
    expect(lines.call(crank_pulley: '565')).to include('was one of them measured around? Then it is 3')
    expect(lines.call).not_to include('unusual')
  end

  it 'says no where no answer is to be had' do
    expect(answer('cable_size', ampere: '900', one_way_m: '20', most_drop_volt: '0.2')).to eq('no size fits')
    expect(answer('fuse', load_ampere: '60', section_mm2: '1')).to eq('none fits')
    expect(answer('start_energy', output_ampere: '20')).to start_with('never')
    expect(answer('ohmmeter')).to start_with('no')
    expect { answer('full_field', field_circuit: 'A', internal_regulator: 'yes') }.to raise_error(Wattomneum::RefusedError)
    expect { answer('drop_to_milliohm', ampere: '0') }.to raise_error(Wattomneum::InvalidQuantityError)
    expect { answer('rating', standard: 'JIS') }.to raise_error(Wattomneum::InvalidQuantityError, /By is SAE/)
  end

  # The 12 V case of docs/cold-crank.md; without the day before the battery is as cold as the air.
  it 'says how a unit cranks on a cold morning, and when it will not turn' do
    night = { ampere: '620', speed_rpm: '190', day_before_celsius: '-11' }
    found = described_class.call(Wattomneum::Sums::Catalogue.fetch('cold_crank'), night.transform_keys(&:to_s))
    expect([found.answer, *found.lines]).to eq(['8.88 V at the posts', '63 % of its speed, 137 % of its current', '120 rpm, 850 A',
                                                '8.33 V at the starter, 12.49 V at rest'])
    expect(answer('cold_crank')).to eq('8.82 V at the posts')
    expect(answer('cold_crank', posts_volt: '8', drop_volt: '2.5', low_celsius: '-29')).to eq('the engine does not turn')
    flat = described_class.call(Wattomneum::Sums::Catalogue.fetch('cold_crank'), { 'charge_percent' => '20' })
    expect(flat.lines.last).to start_with('A battery that may be frozen is neither charged nor jumped')
    expect { answer('cold_crank', system: '24') }.to raise_error(Wattomneum::InvalidQuantityError, /no 24 V bank/)
    expect { answer('cold_crank', low_celsius: '-40') }.to raise_error(Wattomneum::OutOfTableRangeError, /colder than the chart/)
  end
end
