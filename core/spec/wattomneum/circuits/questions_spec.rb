# frozen_string_literal: true

# The questions that one page must answer, on the shipped control-unit and fuel-pump sheets.
RSpec.describe 'Questions to a circuit' do # rubocop:disable RSpec/DescribeClass -- several small classes answer together
  let(:machine) { settled(Wattomneum::Circuits::Library.fetch('ecu_power')) }
  let(:circuit) { machine.circuit }

  describe Wattomneum::Circuits::PathFinder do
    def path(state, question, pin) = described_class.new(circuit, machine.fetch(state)).public_send(question, pin)

    it 'names every fuse, plug, splice and contact from a control-unit pin back to the battery, in order' do
      found = path('running', :to_supply, 'A1:A/1')
      expect(found.steps.map(&:item)).to eq(['wire 18', 'X6', 'wire 15', 'SP1', 'SP1', 'wire 14', 'X5', 'wire 13', 'K10', 'wire 8', 'F10', 'wire 5',
                                             'F1', 'wire 3', 'S1', 'wire 1'])
      expect([found.complete, found.ends_at]).to eq([true, 'BAT:+'])
      expect(found.steps.map(&:ampere)).to all(be_negative)
    end

    it 'names the way to ground through straps and studs' do
      expect(path('running', :to_ground, 'A1:A/4').steps.map(&:item)).to eq(['wire 21', 'G6', 'G6', 'wire strap_block', 'G2', 'G2', 'wire 2'])
    end

    it 'says where the way is interrupted in this state, and by what' do
      open = path('isolator_on', :to_supply, 'A1:A/1').steps.select(&:open)
      expect(open.map { |step| [step.item, step.why] }).to eq([['K10', 'K10 is not pulled in']])
      key = path('isolator_on', :to_supply, 'A1:A/20').steps.find(&:open)
      expect(key.why).to include('closed in: Key on')
    end

    it 'goes to ground through the pin\'s own coil' do
      steps = path('isolator_on', :to_ground, 'K10:86').steps
      expect([steps.first.label, steps.find(&:open).item]).to eq(['K10 Main relay, coil', 'A1'])
    end

    it 'adds its drops up to the volts at the pin' do
      steps = path('running', :to_supply, 'A1:A/1').steps
      at_pin = volts_at(machine, 'A1:A/1', 'running')
      expect(at_pin - steps.sum(&:drop_volt)).to be_within(1e-9).of(volts_at(machine, 'BAT:+', 'running'))
    end
  end

  describe Wattomneum::Circuits::Trace do
    subject(:trace) { described_class.new(circuit.sheet) }

    it 'follows one return through its splice to all that share it' do
      found = trace.wire('66')
      expect(found.runs.map { |run| run.wire.number }).to match_array(%w[64 65 66 67 68 69 70])
      expect(found.ends.map(&:node)).to include('A1:B/2', 'B1:return', 'B6:return')
    end

    it 'follows a wire through plugs, tells who listens, and where it goes on' do
      found = trace.wire('27')
      expect(found.runs.map { |run| run.wire.number }).to match_array(%w[26 27 28])
      expect(found.listeners.map { |one| [one.node, one.words] }).to eq([['A1:A/20', 'input']])
      expect(found.links.map { |link| [link.sheet, link.at] }).to eq([['fuel_pump', 'S2:15']])
      expect(found.length_m).to be_within(1e-9).of(4.5)
    end

    it 'refuses a wire and a pin that are not there' do
      expect { trace.wire('999') }.to raise_error(Wattomneum::UnknownKeyError, /no wire 999/)
      expect { trace.pin('A1:Z/9') }.to raise_error(Wattomneum::UnknownKeyError, %r{no pin A1:Z/9})
    end
  end

  describe Wattomneum::Circuits::PinReading do
    subject(:reading) { described_class.new(machine) }

    it 'says what stands at a coolant sensor plugged and unplugged' do
      running = reading.at('B4:signal').last
      expect([running.loaded_volt.round(1), running.unloaded_volt.round(1)]).to eq([2.3, 5.0])
    end

    it 'knows that the main relay never pulls in with the control unit unplugged' do
      expect(reading.at('A1:A/1').last.then { |one| [one.loaded_volt.round, one.unloaded_volt] }).to eq([25, 0.0])
    end

    it 'calls a wire that nothing leads to floating' do
      sheet = sheet_of(['{ id: BAT, kind: battery }', '{ id: S, kind: switch, closed_in: [key_on] }', '{ id: X, kind: connector, ways: 1 }'],
                       ['{ number: 1, from: BAT:+, to: S:1 }', '{ number: 2, from: S:2, to: X:a/1 }'])
      states = described_class.new(settled(sheet)).at('X:b/1').to_h { |one| [one.key_state, [one.floating, one.loaded_volt.round(2)]] }
      expect(states).to include('off' => [true, 0.0], 'key_on' => [false, 12.65])
    end

    # Common practice, follows from Ohm's law: 12 V behind 1.5 Mohm shows about 10.4 V on a 10 Mohm meter and nothing under a lamp.
    it 'shows 10.4 V behind 1.5 Mohm on a meter, and next to nothing on a lamp' do
      sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: R, kind: resistor, ohm: 1500000 }', '{ id: X, kind: connector, ways: 1 }'],
                       ['{ number: 1, from: BAT:+, to: R:1 }', '{ number: 2, from: R:2, to: X:a/1 }'])
      expect(described_class.new(settled(sheet)).at('X:b/1').first.loaded_volt).to be_within(0.05).of(10.4)
      lamp = Wattomneum::Circuits::Instruments.new(settled(sheet)).lamp('X:b/1', 'BAT:-', key_state: 'off')
      expect([lamp.volt, lamp.bright_ratio]).to all(be < 0.001)
    end
  end

  describe Wattomneum::Circuits::LiveTerminals do
    it 'lists what an isolator leaves live: the heater that hangs straight on the battery' do
      heater = settled(Wattomneum::Circuits::Library.fetch('heater'))
      pins = described_class.new(heater).with(nil, key_state: 'off').map(&:pin)
      expect(pins).to include('U3:A/1', 'L8:1')
      expect(pins).not_to include('M3:1')
    end

    it 'lists what a pulled fuse leaves live and how each is fed' do
      live = described_class.new(machine).with(circuit.item('F10'), key_state: 'running')
      expect(live.map(&:pin)).to include('K10:86', 'F11:2').and(not_include('A1:A/1', 'K10:30'))
      expect(live.find { |one| one.pin == 'K10:86' }.path.steps.map(&:item)).to include('F11', 'F1')
    end
  end

  describe Wattomneum::Circuits::BlastRadius do
    subject(:blast) { described_class.new(machine) }

    it 'takes everything down with the control-unit ground, and one valve with its own wire' do
      expect(blast.dead_keys(circuit.item('G6'))).to include('A1', 'K10', 'Y51', 'Y1', 'A1:B/3')
      expect(blast.dead_keys(circuit.item('wire 48'))).to eq(['Y1'])
    end

    it 'moves every sensor on a shared return when the splice opens, and leaves the pedal alone' do
      moved = blast.dead_keys(circuit.item('SP4'))
      expect(moved).to include('A1:B/3', 'A1:B/6', 'A1:B/8').and(not_include('A1:A/41', 'Y1'))
    end

    # It skips what carries no current and takes earlier states over: the same as solving it all again.
    it 'agrees with solving the machine anew with the item open, for every item of every large sheet' do
      %w[ecu_power charge_12v genset].each do |key|
        sound = settled(Wattomneum::Circuits::Library.fetch(key))
        radius = described_class.new(sound)
        sound.circuit.items.each do |item|
          anew = Wattomneum::Circuits::Workings.new(settled(sound.circuit.sheet, opened: item.branches))
          changes = sound.circuit.sheet.states.keys.flat_map do |state|
            sound.circuit.watches.filter_map { |watch| anew.change(watch, state, Wattomneum::Circuits::Workings.new(sound))&.then { |change| [watch.key, state, change] } }
          end
          expect(radius.of(item).map { |effect| [effect.watch.key, effect.key_state, effect.change] }).to match_array(changes), "#{key} #{item.key}"
        end
      end
    end
  end

  describe Wattomneum::Circuits::Instruments do
    it 'refuses ohms on a live circuit and reads them on a dead one' do
      meter = described_class.new(machine)
      expect { meter.ohms('BAT:+', 'BAT:-', key_state: 'key_on') }.to raise_error(Wattomneum::RefusedError, /ohms are void/)
      expect(meter.ohms('Y1:1', 'Y1:2', key_state: 'off').ohm).to be_within(0.1).of(24)
    end

    it 'clamps a wire, and no component with several ways through it' do
      meter = described_class.new(machine)
      expect(meter.amperes(circuit.item('wire 2'), key_state: 'running').ampere.abs).to be_between(5, 15)
      expect { meter.amperes(circuit.item('SP1'), key_state: 'running') }.to raise_error(Wattomneum::RefusedError, /several ways/)
    end
  end

  describe Wattomneum::Circuits::Shorts do
    it 'names a supply shorted with no fuse in the way' do
      sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.005 }'], ['{ number: 7, from: BAT:+, to: BAT:-, ohm: 0.001 }'])
      expect(described_class.find(settled(sheet)).first.to_s).to include('BAT gives', 'wire 7', 'no fuse is in the way')
    end
  end
end
