# frozen_string_literal: true

# What each kind of component is to a circuit, read on small sheets.
RSpec.describe Wattomneum::Circuits::Parts do
  def part(row, **rest) = sheet_of([row, '{ id: REF, kind: body }'], [], reference: 'REF', **rest).parts.first

  describe described_class::Fuse do
    # Common practice: a 10 A fuse has about 7.5 mohm, 75 mV at its rating.
    it 'has about 7.5 mohm at 10 A, and less the larger it is' do
      expect(part('{ id: F, kind: fuse, rating_ampere: 10 }').branches.first.ohm).to be_within(1e-9).of(0.0075)
      expect(part('{ id: F, kind: fuse, rating_ampere: 30 }').branches.first.ohm).to be < 0.0075
    end

    # ISO 8820, from memory: opens within minutes at 1.35 times its rating.
    it 'blows over 1.35 times its rating' do
      expect(part('{ id: F, kind: fuse, rating_ampere: 20 }').blows_ampere).to eq(27.0)
    end
  end

  describe described_class::Relay do
    def relay(system_volt: 12, **fields)
      Wattomneum::Circuits::PartKinds.build({ 'id' => 'K', 'kind' => 'relay' }.merge(fields.transform_keys(&:to_s)), uuid: 'u',
system_volt: system_volt)
    end

    # Common practice, from memory: small relays 12 V 60 to 120 ohm, 24 V 250 to 450 ohm.
    it 'has a coil of 60 to 120 ohm on 12 V and 250 to 450 ohm on 24 V where the drawing says none' do
      coils = [12, 24].map { |volt| relay(system_volt: volt).branches.find { |one| one.name == 'coil' }.ohm }
      expect(coils).to match([be_between(60, 120), be_between(250, 450)])
    end

    it 'pulls in at 60 % of its volts and lets go at 20 %, in amperes of its coil' do
      expect([relay(coil_ohm: 80).pull_in_ampere, relay(coil_ohm: 80).drop_out_ampere].map { |ampere| ampere.round(3) }).to eq([0.09, 0.03])
    end

    it 'has a pin 87a only as a changeover, and knows its pins by a maker\'s numbers too' do
      plain = relay(aliases: { '3' => '30', '5' => '87' })
      expect([plain.pin('87a'), relay(changeover: true).pin('87a'), plain.pin('3'), plain.pin('5'),
              plain.pin('9')]).to eq([nil, '87a', '30', '87', nil])
    end

    it 'takes a diode across the coil for polarity, a resistor for ohms' do
      with = ->(kind) { relay(suppression: kind).branches.map(&:name) }
      expect(with.call('diode')).to include('diode across the coil')
      expect(with.call('resistor')).to include('resistor across the coil')
      expect(with.call('none')).to eq(['coil', 'contact 30 to 87'])
    end
  end

  describe described_class::Load do
    # Common practice: a 21 W lamp is about 7 ohm hot at 12 V and 27 ohm at 24 V.
    it 'has the resistance of its watts at the system\'s volts' do
      expect(part('{ id: L, kind: load, watt: 21 }').ohm).to be_within(0.2).of(7)
      expect(part('{ id: L, kind: load, watt: 21 }', system_volt: 24).ohm).to be_within(0.5).of(27)
    end

    it 'works from 70 % of the system, or from what its sheet says, and only where it is switched on inside' do
      watch = ->(row) { part(row).watches.first }
      expect([watch.call('{ id: L, kind: load, ohm: 5 }').works_at?(8.3),
              watch.call('{ id: L, kind: load, ohm: 5 }').works_at?(8.5)]).to eq([false, true])
      expect(watch.call('{ id: L, kind: load, ohm: 5, works_from_volt: 4 }').works_at?(4.1)).to be(true)
      inside = settled(sheet_of(['{ id: BAT, kind: battery }', '{ id: L, kind: load, ohm: 5, active_in: [running] }'],
                                ['{ number: 1, from: BAT:+, to: L:1 }', '{ number: 2, from: L:2, to: BAT:- }']))
      works = ->(state) { Wattomneum::Circuits::Questions::Workings.new(inside).works?(inside.circuit.watches.find { |one| one.key == 'L' }, state) }
      expect([volts_at(inside, 'L:1', 'key_on') > 12, works.call('key_on'), works.call('running')]).to eq([true, false, true])
    end
  end

  describe described_class::Connector do
    it 'has two halves to every pin, by number or by name' do
      expect(part('{ id: X, kind: connector, ways: 2 }').pins).to eq(%w[a/1 b/1 a/2 b/2])
      expect(part('{ id: X, kind: connector, pins: [C, D] }').pins).to eq(%w[a/C b/C a/D b/D])
    end
  end

  describe described_class::Sensor do
    it 'divides the supply of three wires by its position' do
      sheet = sheet_of(['{ id: BAT, kind: battery, volt: 5, ohm: 0.01 }', '{ id: B, kind: sensor, wires: 3, ohm: 5000, position_ratio: 0.3 }'],
                       ['{ number: 1, from: BAT:+, to: B:supply, ohm: 0.01 }', '{ number: 2, from: B:return, to: BAT:-, ohm: 0.01 }'])
      expect(volts_at(settled(sheet), 'B:signal', 'off')).to be_within(0.001).of(1.5)
    end
  end

  describe described_class::ControlUnit do
    let(:unit) do
      pins = ['{ pin: "1", role: supply }', '{ pin: "2", role: ground }', '{ pin: "3", role: reference, volt: 5 }',
              '{ pin: "4", role: signal, pull_up_ohm: 2200, pull_up_to: "3" }', '{ pin: "5", role: return }',
              '{ pin: "6", role: high_side, active_in: [running], after_s: 2, for_s: 20 }']
      sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: S, kind: switch, closed_in: [key_on, running] }',
                '{ id: L, kind: load, ohm: 24 }', "{ id: A, kind: control_unit, pins: [#{pins.join(', ')}] }"],
               ['{ number: 1, from: BAT:+, to: S:1, ohm: 0.01 }', '{ number: 2, from: S:2, to: A:1, ohm: 0.01 }',
                '{ number: 3, from: A:2, to: BAT:-, ohm: 0.01 }', '{ number: 4, from: A:6, to: L:1, ohm: 0.01 }',
                '{ number: 5, from: L:2, to: BAT:-, ohm: 0.01 }'])
    end

    def shown(pin) = %w[off key_on running].map { |state| volts_at(settled(unit), pin, state).round(1) }

    it 'gives 5 V to its sensors while it runs, and pulls an open signal up to it' do
      expect([shown('A:3'), shown('A:4')]).to eq([[0.0, 5.0, 5.0], [0.0, 5.0, 5.0]])
    end

    it 'drives its high side in the states it is asked to, and only while it has its own supply' do
      expect(shown('A:6')).to match([0.0, 0.0, be_within(0.2).of(12)])
      broken = settled(unit).opening(settled(unit).circuit.item('wire 2'))
      expect(volts_at(broken, 'A:6', 'running')).to eq(0.0)
    end

    it 'says when a driver comes and for how long' do
      expect([unit.part('A').timing('6'), unit.part('A').timing('1'), unit.part('A').role('4')]).to eq(['after 2 s, for 20 s', nil, 'signal'])
    end
  end

  describe described_class::Alternator do
    let(:machine) { settled(Wattomneum::Circuits::Library.fetch('charge_12v')) }

    # Common practice: charge lamp lit with the key on, out while it charges; about 1 to 2 V on D+ key on, battery volts running.
    it 'lights its lamp with the key on, at 1 to 2 V on D+, and puts it out when it charges' do
      expect(volts_at(machine, 'G:D+', 'key_on')).to be_between(1, 2.2)
      expect(volts_at(machine, 'G:D+', 'running')).to be > 13.5
      lamp = Wattomneum::Circuits::Questions::Workings.new(machine)
      watch = machine.circuit.watches.find { |one| one.key == 'H1' }
      expect([lamp.works?(watch, 'key_on'), lamp.works?(watch, 'running')]).to eq([true, false])
    end

    # Common practice: with the lamp circuit open many alternators never start charging.
    it 'never charges with the lamp circuit open' do
      broken = machine.opening(machine.circuit.item('wire 37'))
      expect(volts_at(broken, 'BAT:+', 'running')).to be < 12.7
      expect(volts_at(machine, 'BAT:+', 'running')).to be_between(13.8, 14.7)
    end
  end

  describe described_class::Joint do
    it 'gives every wire a ring of its own, so that one can be bad and not the others' do
      machine = settled(Wattomneum::Circuits::Library.fetch('grounds_truck'))
      bad = machine.opening(machine.circuit.item('G2 wire 33'))
      works = Wattomneum::Circuits::Questions::Workings.new(bad)
      expect(%w[L3 L4].map { |key| works.works?(machine.circuit.watches.find { |one| one.key == key }, 'running') }).to eq([true, false])
    end
  end

  # By hand: 12.6 V through 0.3 ohm and 0.02 ohm of wires into 1 ohm are 12.6 / 1.32 = 9.55 A; through 6 mohm 12.6 / 1.026 = 12.28 A; through
  # 2 ohm 4.17 A.
  it 'gives current of a battery through what is said of it, and takes charge through no less than it takes' do
    amperes = lambda do |ohm, volt = nil|
      pushed = ["{ id: R, kind: resistor, ohm: #{volt ? 0.0001 : 1} }", *("{ id: G, kind: battery, volt: #{volt}, ohm: 0.0001 }" if volt)]
      ends = volt ? [%w[BAT:+ R:1], %w[R:2 G:+], %w[G:- BAT:-]] : [%w[BAT:+ R:1], %w[R:2 BAT:-]]
      wires = ends.each_with_index.map { |(from, to), at| "{ number: #{at}, from: #{from}, to: #{to}, ohm: 0.01 }" }
      machine = settled(sheet_of(["{ id: BAT, kind: battery, volt: 12.6, ohm: #{ohm} }", *pushed], wires))
      (volts_at(machine, 'R:1', 'off') - volts_at(machine, 'R:2', 'off')) / (volt ? 0.0001 : 1)
    end
    expect([0.3, 0.006, 2.0].map { |ohm| amperes.call(ohm).round(2) }).to eq([9.55, 12.28, 4.17])
    # By hand: 1.6 V over 0.2988 ohm, 0.03 ohm of wires, 0.0002 ohm of the other two; over 2 ohm where it takes what it gives.
    expect([0.006, 2.0].map { |ohm| amperes.call(ohm, 14.2) }).to match([be_within(0.01).of(-1.6 / 0.329), be_within(0.01).of(-1.6 / 2.0302)])
  end
end
