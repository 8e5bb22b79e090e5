# frozen_string_literal: true

RSpec.describe Wattomneum::Charging do
  def warm(test, value, system: parallel_pair, celsius: 25, **rest)
    said = all_said(Wattomneum::Readings::Catalogue.fetch(test), system).merge('battery_temperature_celsius' => celsius)
    reading(test, value, system: system, conditions: said, **rest)
  end

  def charging(value, rest: 12.6, test: 'charging_fast_idle', system: parallel_pair, celsius: 25)
    judge(reading('posts_rest', rest, system: system), warm(test, value, system: system, celsius: celsius), system: system)
  end

  describe Wattomneum::Charging::Regulation do
    # Common practice at 25 degC, shifted 3 mV per cell and degC (handbook, from memory), by hand.
    { 25 => [13.8, 14.7, 15.0], -15 => [14.52, 15.42, 15.5], 45 => [13.5, 14.34, 14.64] }.each do |celsius, band|
      it "is #{band.join(', ')} V (low, high, over) at #{celsius} degC on 12 V" do
        found = described_class.new(parallel_pair, temperature_celsius: celsius.to_f)
        expect([found.low_volt, found.high_volt, found.over_volt].map { |volt| volt.round(2) }).to eq(band)
      end
    end

    def of(type, celsius: 25.0, **rest)
      system = parallel_pair(batteries: { 'A' => battery('a', type: type), 'B' => battery('b', type: 'flooded') }, **rest)
      described_class.new(system, temperature_celsius: celsius)
    end

    # From memory: 14.4 V gel, 14.8 V AGM at 25 degC, shifted alike; gel gets no 0.3 V on top.
    it 'has ceilings of their own for gel and AGM, the lower one of a mixed bank' do
      expect([of('gel').high_volt, of('gel').over_volt, of('agm').high_volt, of('agm').over_volt].map { |volt| volt.round(2) })
        .to eq([14.4, 14.4, 14.8, 15.1])
      expect(of('gel', celsius: 35.0).over_volt).to be_within(1e-9).of(14.22)
    end

    # By hand: 13.4 V less 0.018 x 30 in the heat is 12.86, and no floor goes below 13.2 V; 13.4 + 0.72 at -15.
    it 'shifts what is asked under load too, and never below 13.2 V' do
      loaded = [55.0, -15.0, 25.0].map { |celsius| described_class.new(parallel_pair, temperature_celsius: celsius).loaded_volt.round(2) }
      expect(loaded).to eq([13.2, 14.12, 13.4])
    end

    it 'shifts by 36 mV per degC on 24 V and is never under 27.0 V' do
      cold = described_class.new(series_pair, temperature_celsius: 0.0)
      hot = described_class.new(series_pair, temperature_celsius: 60.0)
      expect([cold.low_volt.round(2), hot.low_volt]).to eq([28.5, 27.0])
    end
  end

  # Common practice: 12.6, then 13.2, settling at 14.1 V is right; 13.9 V with headlights on is right; 14.4 V at the posts with
  # 14.0 V at the dash socket is a drop in the dash feed, not a charging fault.
  it 'finds 13.2 V at idle and 14.1 V settled right after 12.6 V at rest' do
    expect([charging(13.2, test: 'charging_idle').verdict, charging(14.1).verdict]).to eq(%w[sound sound])
  end

  it 'takes a low voltage at idle for charging only beside its volts at rest' do
    alone = judge(reading('charging_idle', 12.4))
    expect([alone.verdict, alone.validity, alone.instead]).to eq(['unproven', 'unstated', 'Read the posts at rest, engine stopped'])
    expect(judge(reading('posts_rest', 12.6), reading('charging_idle', 12.7)).verdict).to eq('act')
  end

  it 'finds 13.9 V with the headlamps on right' do
    expect(judge(reading('charging_fast_idle', 14.2), reading('charging_loaded', 13.9)).verdict).to eq('sound')
  end

  it 'takes a dash gauge 0.4 V under the posts for a hint, not a fault' do
    judged = judge(reading('charging_fast_idle', 14.4), reading('dash_gauge', 14.0))
    expect([judged.verdict, judged.weight, judged.figures[:gauge_offset_volt].round(1)]).to eq(['unproven', 'hint', -0.4])
  end

  it 'finds no charge where the volts do not rise 0.5 V over rest' do
    expect(charging(12.9).summary).to include('does not charge')
  end

  it 'judges height by the temperature of the battery' do
    expect([charging(15.2, celsius: 25).verdict, charging(15.2, celsius: -15).verdict]).to eq(%w[act sound])
  end

  # Under the cold-shifted band but over 13.5 V and steady: the regulator is asked about; 13.2 to 13.5 V is watched; under that it is low.
  it 'watches what lies under the band of the cold and is steady, and acts only under 13.2 V' do
    rest = { rest: 12.0, celsius: -20 }
    expect([14.0, 13.4, 13.0].map { |volt| charging(volt, **rest).verdict }).to eq(%w[watch watch act])
    expect(charging(14.0, **rest).instead).to include('regulator and its setpoint')
    expect([27.6, 26.7, 26.0].map { |volt| charging(volt, rest: 24.2, celsius: -20, system: series_pair).verdict }).to eq(%w[watch watch act])
  end

  it 'watches a hot flooded battery up to 15.0 V, and acts over it' do
    expect([14.9, 15.2].map { |volt| charging(volt, celsius: 45).verdict }).to eq(%w[watch act])
  end

  it 'acts over 15.5 V whatever the setpoint' do
    said = all_said(Wattomneum::Readings::Catalogue.fetch('charging_fast_idle'), parallel_pair).merge('setpoint_volt' => 15.7)
    over = judge(reading('charging_fast_idle', 15.7, conditions: said))
    expect([over.summary, over.figures]).to match(['Overcharging', { over_by_volt: be_within(1e-9).of(0.2) }])
    expect(judge(reading('charging_loaded', 15.8)).verdict).to eq('act')
  end

  it 'asks for the type before it judges the top of the band, and for the temperature where it decides' do
    bare = parallel_pair(batteries: {})
    expect(charging(14.9, system: bare).instead).to include('with their type')
    expect(charging(14.2, system: bare).verdict).to eq('sound')
    said = all_said(Wattomneum::Readings::Catalogue.fetch('charging_fast_idle'), parallel_pair).except('battery_temperature_celsius')
    unsaid = ->(volt) { judge(reading('posts_rest', 12.6), reading('charging_fast_idle', volt, conditions: said)) }
    expect([unsaid.call(15.2).verdict, unsaid.call(15.2).instead,
            unsaid.call(14.1).validity]).to eq(['unproven', 'Say the temperature of the batteries', 'approximate'])
  end

  it 'is proved by gel at its own ceiling' do
    gel = parallel_pair(batteries: { 'A' => battery('a', type: 'gel'), 'B' => battery('b', type: 'gel') })
    expect([14.3, 14.7].map { |volt| charging(volt, system: gel).verdict }).to eq(%w[sound act])
  end

  it 'sends overcharging to the sense wire and the regulator ground before the alternator' do
    judged = charging(15.8)
    expect([judged.convicts, judged.rules_in.first]).to match([[], include('Sense wire or regulator ground first')])
  end

  it 'watches the band between regulated and overcharging' do
    expect(charging(14.85).verdict).to eq('watch')
  end

  it 'judges a commanded alternator by its setpoint only' do
    said = all_said(Wattomneum::Readings::Catalogue.fetch('charging_fast_idle'), parallel_pair).merge('setpoint_volt' => 12.9)
    expect(judge(reading('charging_fast_idle', 13.0, conditions: said)).verdict).to eq('sound')
    expect(judge(reading('charging_fast_idle', 14.2, conditions: said)).verdict).to eq('act')
  end

  it 'is void while the heater cycle is on' do
    said = { 'heater_cycle_over' => 'no', 'speed_as_stated' => 'yes', 'batteries_up' => 'yes', 'belt_looked_at' => 'yes' }
    expect(judge(reading('charging_fast_idle', 13.1, conditions: said)).instead).to include('heater')
  end

  it 'wants 13.4 V under all loads and no more than 0.5 V under loads off' do
    expect([13.3, 13.4, 13.5].map { |volt| judge(reading('charging_loaded', volt)).verdict }).to eq(%w[act watch sound])
    expect(judge(reading('charging_fast_idle', 14.4), reading('charging_loaded', 13.8)).verdict).to eq('act')
    expect(judge(reading('charging_loaded', 26.9, system: series_pair), system: series_pair).verdict).to eq('watch')
    expect(judge(reading('charging_loaded', 27.1, system: series_pair), system: series_pair).verdict).to eq('sound')
  end

  # Rule 12: for a commanded alternator low volts prove nothing until it was commanded high.
  it 'asks what a commanded alternator was asked for before low volts say anything' do
    commanded = parallel_pair(regulator: 'commanded')
    low = reading('charging_fast_idle', 13.0, system: commanded)
    expect(judge(reading('posts_rest', 12.6), low, system: commanded).to_h).to include(verdict: 'unproven', code: 'charging.not_commanded')
    asked = reading('charging_fast_idle', 13.0, system: commanded, conditions: low.conditions.to_h.merge('setpoint_volt' => 14.4))
    expect(judge(asked, system: commanded).verdict).to eq('act')
    expect(judge(reading('charging_fast_idle', 14.2, system: commanded), system: commanded).verdict).to eq('sound')
  end

  it 'allows 0.5 V peak to peak or 0.1 V AC of ripple, twice that on 24 V' do
    verdicts = [['V pp', 0.5], ['V pp', 0.6], ['V AC', 0.1], ['V AC', 0.15]].map do |unit, value|
      judge(reading('ripple', value, unit: unit)).verdict
    end
    expect(verdicts).to eq(%w[sound act sound act])
    expect(judge(reading('ripple', 0.9, unit: 'V pp', system: series_pair), system: series_pair).verdict).to eq('sound')
  end

  it 'wants the sense feed within 0.1 V of the posts under a lamp' do
    lamp = { 'load_on' => 'yes', 'posts_now_volt' => 12.6 }
    verdicts = [12.55, 12.5, 12.1].map { |volt| judge(reading('sense_feed', volt, conditions: lamp)) }
    expect(verdicts.map(&:verdict)).to eq(%w[sound watch act])
    expect(verdicts.last.rules_out).to eq(['Alternator condemned before this feed is mended'])
  end

  # Key-on loads pull the posts down: 12.2 V is right beside 12.25, though the posts rested at 12.6.
  it 'compares a feed with the posts of the same moment: rest volts are no reference for a key-on reading' do
    rest = reading('posts_rest', 12.6)
    expect(judge(rest, reading('sense_feed', 12.2, conditions: { 'load_on' => 'yes' })).to_h)
      .to include(verdict: 'unproven', instead: 'Read the posts beside it and say them')
    expect(judge(rest, reading('sense_feed', 12.22, conditions: { 'load_on' => 'yes', 'posts_now_volt' => 12.25 })).verdict).to eq('sound')
    expect(judge(rest, reading('output_terminal_stopped', 12.5, conditions: { 'load_on' => 'yes' })).verdict).to eq('sound')
  end

  describe 'a feed with nothing hung on it' do
    def unloaded(volt, said = { 'load_on' => 'no' })
      judge(reading('sense_feed', volt, conditions: { 'meter_proved' => 'yes', 'posts_now_volt' => 12.0 }.merge(said)))
    end

    it 'is a hint when it reads full volts, said or not said, and names the loaded test' do
      expect(unloaded(11.95).to_h).to include(verdict: 'unproven', weight: 'hint', clears: [],
                                              instead: 'Hang a lamp on the terminal and read again')
      expect(unloaded(11.95, {}).validity).to eq('unstated')
    end

    it 'convicts when it is dead, and calls a tenth of a volt stray' do
      expect([unloaded(0.0).verdict, unloaded(0.1).traps.first]).to match(['act', include('stray')])
    end

    # Common practice, follows from Ohm's law: a 12 V supply behind 1.5 Mohm shows about 10.4 V on a 10 Mohm meter.
    it 'works out 1.5 Mohm from 10.4 V of 12 V on a 10 Mohm meter' do
      judged = unloaded(10.4)
      expect(judged.figures[:series_resistance_ohm]).to be_within(5).percent_of(1.5e6)
      expect(judged.verdict).to eq('act')
    end
  end

  # A lamp of 21 W gets next to nothing through a charge lamp of a few watts: that it lit is what says that its feed is whole.
  it 'takes an excitation feed through its charge lamp for whole where that lamp goes on with it, and asks where nobody said' do
    under = lambda { |*seen, volt: 1.6, **said|
      beside = { 'load_on' => 'yes', 'posts_now_volt' => 12.6 }.merge(said.transform_keys(&:to_s))
      judge(*seen, reading('excitation_feed', volt, conditions: beside)).then { |one| [one.code, one.verdict] }
    }
    expect(under.call(charge_lamp_lights: 'yes')).to eq(%w[feed.through_lamp sound])
    expect(under.call(charge_lamp_lights: 'no')).to eq(%w[feed.sinks act])
    expect(under.call(reading('charge_lamp_key_on', 'lit'))).to eq(%w[feed.lamp_decides unproven])
    expect(under.call(reading('charge_lamp_key_on', 'lit'), reading('charge_lamp_apart', 'dark'))).to eq(%w[feed.through_lamp sound])
    expect(under.call(volt: 0.02, meter_proved: 'yes')).to eq(%w[feed.open act])
  end

  # Rubbed through, the wire lights the lamp by itself: 0.4 V under a lamp, the charge lamp lit, and the alternator was condemned (a blind run).
  it 'clears no excitation feed whose lamp is lit with the alternator unplugged' do
    lit = [reading('charge_lamp_key_on', 'lit'), reading('charge_lamp_apart', 'lit')]
    found = judge(*lit, reading('excitation_feed', 0.4, conditions: { 'load_on' => 'yes', 'posts_now_volt' => 12.6, 'charge_lamp_lights' => 'yes' }))
    expect([judge(*lit).verdict, judge(*lit).rules_in, found.verdict]).to eq(['act', ['Lamp or excitation wire rubbed through to ground'], 'act'])
  end

  it 'judges the field of a regulator outside as a feed' do
    external = series_pair(regulator: 'external_b')
    direct = reading('excitation_feed', 20.0, system: external, conditions: { 'load_on' => 'yes', 'posts_now_volt' => 25.2 })
    expect(judge(reading('charge_lamp_key_on', 'lit'), direct, system: external).verdict).to eq('act')
  end

  it 'scales an output drop to the rated current' do
    said = { 'current_ampere' => 60, 'value_confirmed' => 'yes' }
    over = judge(reading('alternator_output_drop', 0.2, conditions: said))
    expect([over.verdict, over.arithmetic.join]).to match(['act', include('at its rating, 120 A: 0.40 V')])
    expect(judge(reading('alternator_output_drop', 0.1, conditions: said)).clears).to include('FL1', 'wire 30')
  end

  it 'voids a small drop at little current' do
    expect(judge(reading('alternator_case_drop', 0.01, conditions: { 'current_ampere' => 10 })).validity).to eq('void')
  end

  # Charge lamp, key on / running: lit / out normal; dark / not charging: excitation or lamp open.
  it 'reads the charge lamp' do
    expect(judge(reading('charge_lamp_key_on', 'lit')).verdict).to eq('sound')
    expect(judge(reading('charge_lamp_key_on', 'dark')).to_h).to include(verdict: 'act', weight: 'hint', convicts: [])
    expect(judge(reading('charge_lamp_key_on', 'lit_key_off')).summary).to include('shorted diode')
    expect(judge(reading('charge_lamp_key_on', 'dark'), reading('charge_lamp_running', 'dark')).traps.first).to include('lost')
  end

  it 'turns a needle between two marks into volts with its error' do
    expect(Wattomneum::Charging::DashGauge.volts(share_ratio: 0.5, low_volt: 8.0, high_volt: 18.0)).to eq([13.0, 1.0])
    expect { Wattomneum::Charging::DashGauge.volts(share_ratio: 1.5, low_volt: 8.0, high_volt: 18.0) }.to raise_error(Wattomneum::InvalidQuantityError)
  end

  # Worked example: 700 A for 5 s is 0.97 Ah.
  it 'takes 0.97 Ah for a start of 700 A and 5 s' do
    expect(Wattomneum::Charging::EnergyBudget.start_ampere_hour(current_ampere: 700.0, seconds: 5.0)).to be_within(0.005).of(0.97)
  end

  it 'puts it back in minutes, or never where the loads take all' do
    budget = Wattomneum::Charging::EnergyBudget
    expect(budget.minutes_to_return(ampere_hour: 1.0, output_ampere: 60.0, loads_ampere: 30.0,
                                    acceptance_ampere: 20.0)).to be_within(1e-9).of(3.45)
    expect(budget.minutes_to_return(ampere_hour: 1.0, output_ampere: 40.0, loads_ampere: 45.0, acceptance_ampere: 20.0)).to be_nil
    expect(budget.least_rating_ampere([{ ampere: 60.0, duty_ratio: 1.0 }, { ampere: 40.0, duty_ratio: 0.5 }])).to be_within(1e-9).of(100)
  end

  it 'judges an output by clamp against the rating, cold and hot, and only with the system pulled down' do
    said = { 'speed_as_stated' => 'yes', 'pulled_down' => 'yes' }
    output = ->(ampere, extra = {}) { judge(reading('alternator_output', ampere, conditions: said.merge(extra))) }
    expect([output.call(102.0).verdict, output.call(108.0).verdict, output.call(114.0).clears]).to eq(['act', 'watch', ['alternator']])
    expect(output.call(102.0, 'alternator_hot' => 'yes').verdict).to eq('sound')
    expect(output.call(108.0, 'pulled_down' => 'no').validity).to eq('void')
    unrated = parallel_pair(alternator_rating_ampere: nil)
    expect(judge(reading('alternator_output', 100.0, system: unrated), system: unrated).instead).to include('rating')
  end

  it 'asks 90 % of the rating cold and 80 % hot of an output test' do
    passes = ->(ampere, hot) { Wattomneum::Charging::OutputTest.passes?(output_ampere: ampere, rating_ampere: 100.0, hot: hot) }
    expect([passes.call(89.0, false), passes.call(90.0, false), passes.call(80.0, true)]).to eq([false, true, true])
  end

  it 'never jumps the field of an internal regulator, and asks for the circuit first' do
    test = Wattomneum::Charging::OutputTest
    expect(test.full_field_jumper(field_circuit: 'A', internal_regulator: false)).to eq('field to ground')
    expect(test.full_field_jumper(field_circuit: 'B', internal_regulator: false)).to eq('field to battery')
    expect { test.full_field_jumper(field_circuit: 'A', internal_regulator: true) }.to raise_error(Wattomneum::RefusedError)
    expect { test.full_field_jumper(field_circuit: nil, internal_regulator: false) }.to raise_error(Wattomneum::InvalidQuantityError)
  end

  it 'never trusts a terminal by its letter alone' do
    expect(Wattomneum::Charging::Terminals.functions_of('S').size).to be > 1
  end
end
