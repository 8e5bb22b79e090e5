# frozen_string_literal: true

# Readings between any two points of a circuit. Limits of the handbook's table of drops (common practice) and 3 % of the system for a feed.
RSpec.describe Wattomneum::Evidence::Points::Judging do
  let(:machine) { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('fuel_pump')) }
  let(:posts) { reading('volts', 'BAT:+', 'BAT:-', 25.0, id: 'posts') }
  let(:flowing) { reading('volts', 'M2:1', 'M2:2', 24.0, id: 'across') }

  def reading(method, from, to, shown = nil, situation: 'key_on', opened: [], id: 'asked', **rest)
    probe = Wattomneum::Readings::Probe.new(by: method, from: from, to: to, situation: situation, opened: opened)
    value = shown.is_a?(Numeric) ? { value: shown } : { observation: shown }
    value = { overload: true } if shown == :overload
    Wattomneum::Readings::PointReading.new(id: id, probe: probe, taken_at: 1, **value, **rest)
  end

  def judged(asked, beside: [], circuit: machine, system: series_pair)
    tests = Wattomneum::Evidence::Circumstances.new(system: system, readings: [])
    circumstances = Wattomneum::Evidence::Points::Circumstances.new(machine: circuit, readings: [*beside, asked], tests: tests)
    described_class.call(asked, circumstances)
  end

  describe 'a drop along one path' do
    it 'convicts the one part it was read straight across, at any current' do
      found = judged(reading('volts', 'K11:87', 'X8:a/1', 3.1))
      expect([found.verdict, found.weight, found.convicts, found.code]).to eq(['act', 'proof', ['wire 10'], 'drop.over'])
    end

    it 'clears only what its current flowed through' do
      small = reading('volts', 'K11:87', 'X8:a/1', 0.3)
      expect(judged(small).then { |one| [one.verdict, one.would_be, one.validity] }).to eq(%w[unproven sound unstated])
      expect(judged(small, beside: [reading('volts', 'M2:1', 'M2:2', 2.0, id: 'across')]).code).to eq('drop.small_no_flow')
      cleared = judged(small, beside: [flowing])
      expect([cleared.verdict, cleared.clears]).to eq(['sound', ['wire 10']])
    end

    it 'is judged at the current of a sound circuit: half the current leaves half the drop' do
      half = reading('volts', 'M2:1', 'M2:2', 13.5, id: 'across')
      found = judged(reading('volts', 'X8:b/2', 'X8:a/2', 0.06), beside: [half])
      expect([found.verdict, found.convicts]).to eq(['act', ['X8 pin 2']])
    end

    it 'is the same whichever way round the leads were' do
      expect(judged(reading('volts', 'X8:a/1', 'K11:87', -3.1)).convicts).to eq(['wire 10'])
    end

    it 'says between which points it lies where several things do' do
      found = judged(reading('volts', 'F15:2', 'M2:1', 5.0))
      expect([found.convicts, found.rules_in]).to eq([[], ['Between F15:2 and M2:1: 5 things that can be at fault']])
    end

    it 'allows one contact 0.2 V and one connection 0.05 V, and within the meter says: at the limit' do
      expect(judged(reading('volts', 'K11:30', 'K11:87', 0.19), beside: [flowing]).verdict).to eq('sound')
      expect(judged(reading('volts', 'K11:30', 'K11:87', 0.25), beside: [flowing]).convicts).to eq(['K11'])
      expect(judged(reading('volts', 'BAT:+ clamp 1', 'BAT:+', 0.0493), beside: [flowing]).code).to eq('drop.at_limit')
    end

    it 'holds what reaches a load against no posts that were read as nothing' do
      slipped = reading('volts', 'BAT:+', 'BAT:-', 0.0, id: 'posts')
      expect(judged(reading('volts', 'M2:1', 'M2:2', 0.0), beside: [slipped]).code).to eq('load.lacks_volts')
    end

    it 'asks for the digits of a zero that was typed too coarsely to clear a joint, and says so once it was read again' do
      found = judged(reading('volts', 'BAT:+ clamp 1', 'BAT:+', 0.0, half_digit: 0.05), beside: [flowing])
      expect(found.to_h.slice(:verdict, :summary, :instead).values)
        .to eq(['watch', '0.00 V, clamp of wire 1 on BAT:+ to positive post: typed to the nearest 0.10 V, too coarse beside 50 mV',
                'Set the meter to millivolts and type every digit it shows'])
      expect(judged(reading('volts', 'BAT:+ clamp 1', 'BAT:+', 0.0, half_digit: 0.00005), beside: [flowing]).verdict).to eq('sound')
    end
  end

  describe 'a point of a feed against the negative post' do
    it 'is held against the posts in the same state, and asks for them' do
      asked = reading('volts', 'K11:87', 'BAT:-', 21.0)
      expect(judged(asked).then { |one| [one.verdict, one.validity] }).to eq(%w[unproven unstated])
      found = judged(asked, beside: [posts])
      expect([found.verdict, found.weight, found.convicts,
              found.summary]).to eq(['act', 'support', [], '4.00 V lost, K11:87 to positive post: over 0.72 V'])
    end

    it 'takes posts that were said beside it, not those of another state' do
      asked = reading('volts', 'K11:87', 'BAT:-', 21.0, conditions: { 'posts_now_volt' => 21.4 })
      expect(judged(asked, beside: [posts]).verdict).not_to eq('act')
      cranking = reading('volts', 'BAT:+', 'BAT:-', 25.0, situation: 'cranking', id: 'posts')
      expect(judged(reading('volts', 'K11:87', 'BAT:-', 21.0), beside: [cranking]).code).to eq('drop.needs_posts')
    end
  end

  describe 'volts across what should work' do
    it 'reach it or do not, by their share of what a sound circuit has at these posts' do
      expect(judged(reading('volts', 'M2:1', 'M2:2', 23.0), beside: [posts]).code).to eq('load.has_volts')
      expect(judged(reading('volts', 'M2:1', 'M2:2', 12.0), beside: [posts]).code).to eq('load.lacks_volts')
    end

    it 'convict it where it has them and is dead, and a control unit only by its ladder' do
      dead = reading('seen', 'M2:1', 'M2:2', 'dead', id: 'seen')
      expect(judged(reading('volts', 'M2:1', 'M2:2', 24.0), beside: [posts, dead]).convicts).to eq(['M2'])
      heater = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('heater'))
      dead = reading('seen', 'U3:A/1', 'U3:A/2', 'dead', id: 'seen')
      found = judged(reading('volts', 'U3:A/1', 'U3:A/2', 24.5), beside: [dead], circuit: heater)
      expect([found.code, found.convicts]).to eq(['load.dead_with_volts', []])
    end
  end

  describe 'ohms' do
    it 'are void in a state in which the circuit is live, whatever they say' do
      found = judged(reading('ohms', 'K11:87', 'BAT:-', 3.0))
      expect([found.verdict, found.validity, found.code]).to eq(%w[unproven void ohms.live])
    end

    it 'convict an open wire and a short, and never clear a strand' do
      dead = { situation: 'isolator_open' }
      expect(judged(reading('ohms', 'K11:87', 'X8:a/1', :overload, **dead)).convicts).to eq(['wire 10'])
      expect(judged(reading('ohms', 'K11:87', 'X8:a/1', 0.1, **dead)).then { |one| [one.verdict, one.weight] }).to eq(%w[unproven hint])
      expect(judged(reading('ohms', 'K11:87', 'BAT:-', 4.0, opened: ['X8'], **dead)).code).to eq('ohms.short')
      expect(judged(reading('ohms', 'K11:87', 'BAT:-', :overload, opened: ['X8'], **dead)).code).to eq('ohms.insulated')
    end

    it 'judge a load unplugged: within 60 to 160 % of its label' do
      coil = ->(ohm) { judged(reading('ohms', 'K11:86', 'K11:85', ohm, situation: 'isolator_open', opened: ['S2'])).code }
      expect([310, 150, 600, :overload].map(&coil)).to eq(%w[ohms.load_sound ohms.load_off ohms.load_off ohms.open])
    end

    it 'are void with volts across the points, and where reversed leads disagree' do
      said = { 'voltage_across_volt' => 0.2 }
      expect(judged(reading('ohms', 'K11:87', 'X8:a/1', 5.0, situation: 'isolator_open', conditions: said)).validity).to eq('void')
    end
  end

  it 'takes what the sheet predicts for a hint where no limit holds, moved with the posts' do
    found = judged(reading('volts', 'K11:87', 'BAT:-', 0.0, situation: 'stopped'))
    expect([found.code, found.weight]).to eq(['hint.as_expected', 'hint'])
    expect(judged(reading('volts', 'K11:87', 'BAT:-', 9.0, situation: 'stopped')).code).to eq('hint.otherwise')
    expect(judged(reading('current', 'K11:87', 'X8:a/1', 12.0)).code).to eq('hint.as_expected')
  end

  it 'says what a lamp cannot see' do
    bright = judged(reading('lamp', 'F15:2', 'BAT:-', 'bright'))
    expect([bright.weight, bright.traps.first]).to eq(['hint', 'A lamp sees 2.74 ohm and more: less than that hides from it'])
    expect(judged(reading('lamp', 'F15:2', 'BAT:-', 'dark')).verdict).to eq('act')
  end

  it 'holds the posts of each state against what that state needs' do
    expect(judged(reading('volts', 'BAT:+', 'BAT:-', 22.0)).code).to eq('posts.flat')
    expect(judged(reading('volts', 'BAT:+', 'BAT:-', 22.0, situation: 'cranking')).code).to eq('posts.hold')
  end

  it 'has a sentence for every code, and a figure for every gap in it' do
    Wattomneum::Evidence::Findings::SENTENCES.each do |code, text|
      gaps = text.scan(/\{(\w+)\}/).flatten.to_h { |name| [name.to_sym, 'x'] }
      expect(Wattomneum::Evidence::Findings.sentence(code, **gaps)).not_to match(/[{}]/)
    end
    expect { Wattomneum::Evidence::Findings.sentence('drop.off') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
