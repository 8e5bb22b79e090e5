# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Solving::OperatingPoint do
  # The two arrangements of a relay, by hand.
  # Fed hot, grounded by the control unit: at rest both coil pins read supply; called, the control pin falls near 0 and 87 comes up.
  let(:grounded_by_unit) do
    sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: G, kind: ground, body: FRAME }', '{ id: FRAME, kind: body }',
              '{ id: K, kind: relay, coil_ohm: 80 }', '{ id: L, kind: load, ohm: 6 }',
              '{ id: A, kind: control_unit, pins: [{ pin: "1", role: supply }, { pin: "2", role: ground }, ' \
              '{ pin: "3", role: low_side, active_in: [key_on] }] }'],
             ['{ number: 1, from: BAT:+, to: K:86, ohm: 0.01 }', '{ number: 2, from: K:85, to: A:3, ohm: 0.01 }',
              '{ number: 3, from: BAT:+, to: K:30, ohm: 0.01 }', '{ number: 4, from: K:87, to: L:1, ohm: 0.01 }',
              '{ number: 5, from: L:2, to: G, ohm: 0.01 }', '{ number: 6, from: BAT:+, to: A:1, ohm: 0.01 }',
              '{ number: 7, from: A:2, to: G, ohm: 0.01 }', '{ number: 8, from: BAT:-, to: G, ohm: 0.001 }'])
  end
  # Fed by the key with a fixed ground.
  let(:fed_by_key) do
    sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: S, kind: switch, closed_in: [key_on] }', '{ id: K, kind: relay, coil_ohm: 80 }',
              '{ id: L, kind: load, ohm: 6 }'],
             ['{ number: 1, from: BAT:+, to: S:1, ohm: 0.01 }', '{ number: 2, from: S:2, to: K:86, ohm: 0.01 }',
              '{ number: 3, from: K:85, to: BAT:-, ohm: 0.01 }', '{ number: 4, from: BAT:+, to: K:30, ohm: 0.01 }',
              '{ number: 5, from: K:87, to: L:1, ohm: 0.01 }', '{ number: 6, from: L:2, to: BAT:-, ohm: 0.01 }'])
  end

  def rounded(settled, state, *pins) = pins.map { |pin| volts_at(settled, "K:#{pin}", state).round }

  it 'reads supply on both coil pins at rest where the control unit grounds the coil, 0 on its pin and supply on 87 when called' do
    machine = settled(grounded_by_unit)
    expect(rounded(machine, 'isolator_on', 30, 86, 85, 87)).to eq([12, 12, 12, 0])
    expect(rounded(machine, 'key_on', 30, 86, 85, 87)).to eq([12, 12, 0, 12])
  end

  it 'reads nothing on the coil at rest where the key feeds it, supply on 86 and ground on 85 when called' do
    machine = settled(fed_by_key)
    expect(rounded(machine, 'isolator_on', 30, 86, 85, 87)).to eq([12, 0, 0, 0])
    expect(rounded(machine, 'key_on', 30, 86, 85, 87)).to eq([12, 12, 0, 12])
  end

  it 'reads the whole supply on 86 and on 85 and pulls nothing in where the ground of the coil is open' do
    machine = settled(fed_by_key)
    broken = machine.opening(machine.circuit.item('wire 3'))
    expect(rounded(broken, 'key_on', 86, 85, 87)).to eq([12, 12, 0])
    expect(broken.fetch('key_on').positions.energised).to be_empty
  end

  it 'switches by coil current, not by volts: an open coil shows 12 V and stays at rest' do
    machine = settled(fed_by_key)
    open_coil = machine.opening(machine.circuit.item('K coil'))
    expect([rounded(open_coil, 'key_on', 86), open_coil.fetch('key_on').positions.energised]).to eq([[12], []])
  end

  it 'holds a relay from one key state to the next until its current falls under drop-out' do
    machine = settled(Wattomneum::Circuits::Library.fetch('genset'))
    energised = machine.all.transform_values { |result| result.positions.energised.include?('K6') }
    expect(energised).to eq('off' => false, 'start_here' => true, 'start_house' => true, 'running' => true, 'stop_here' => false,
                            'stop_house' => false)
  end

  it 'names a relay that opens its own coil as chattering' do
    buzzer = sheet_of(['{ id: BAT, kind: battery, volt: 12 }', '{ id: K, kind: relay, coil_ohm: 80, changeover: true }'],
                      ['{ number: 1, from: BAT:+, to: K:30, ohm: 0.01 }', '{ number: 2, from: K:87a, to: K:86, ohm: 0.01 }',
                       '{ number: 3, from: K:85, to: BAT:-, ohm: 0.01 }'])
    result = settled(buzzer).fetch('key_on')
    expect([result.chatters?, result.chattering]).to eq([true, ['K']])
  end

  it 'carries both outcomes where the coil current is near pull-in' do
    near = lambda do |ohm|
      parts = ['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: K, kind: relay, coil_ohm: 80, pull_in_volt: 8 }',
               '{ id: L, kind: load, ohm: 6 }']
      sheet = sheet_of(parts,
                       ["{ number: 1, from: BAT:+, to: K:86, ohm: #{ohm} }", '{ number: 2, from: K:85, to: BAT:-, ohm: 0.01 }',
                        '{ number: 3, from: BAT:+, to: K:30, ohm: 0.01 }', '{ number: 4, from: K:87, to: L:1, ohm: 0.01 }',
                        '{ number: 5, from: L:2, to: BAT:-, ohm: 0.01 }'])
      settled(sheet).fetch('key_on')
    end
    expect(near.call(40).others.map { |other| other.positions.energised }).to eq([['K']])
    expect([near.call(40).positions.energised, near.call(1).others, near.call(200).others]).to eq([[], [], []])
  end

  it 'carries both outcomes where a relay that was pulled in is fed just under what holds it' do
    fed = lambda do |ohm|
      sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: K, kind: relay, coil_ohm: 80, drop_out_volt: 2.4 }',
                        '{ id: S, kind: switch, closed_in: [key_on] }', "{ id: R, kind: resistor, ohm: #{ohm} }"],
                       ['{ number: 1, from: BAT:+, to: S:1, ohm: 0.01 }', '{ number: 2, from: S:2, to: K:86, ohm: 0.01 }',
                        '{ number: 3, from: S:1, to: R:1, ohm: 0.01 }', '{ number: 4, from: R:2, to: S:2, ohm: 0.01 }',
                        '{ number: 5, from: K:85, to: BAT:-, ohm: 0.01 }'])
      [settled(sheet).fetch('cranking'), settled(sheet).fetch('isolator_on')]
    end
    after, before = fed.call(341)
    expect([after.positions.energised, after.others.map { |other| other.positions.energised }]).to eq([[], [['K']]])
    expect([before.others, fed.call(400).first.others, fed.call(240).first.positions.energised]).to eq([[], [], ['K']])
  end

  it 'blows a fuse once over 1.35 times its rating and leaves it blown in the states after' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: F, kind: fuse, rating_ampere: 10 }',
                      '{ id: S, kind: switch, closed_in: [key_on] }', '{ id: L1, kind: load, ohm: 2 }', '{ id: L2, kind: load, ohm: 1.2 }'],
                     ['{ number: 1, from: BAT:+, to: F:1, ohm: 0.01 }', '{ number: 2, from: F:2, to: L1:1, ohm: 0.01 }',
                      '{ number: 3, from: F:2, to: S:1, ohm: 0.01 }', '{ number: 4, from: S:2, to: L2:1, ohm: 0.01 }',
                      '{ number: 5, from: L1:2, to: BAT:-, ohm: 0.01 }', '{ number: 6, from: L2:2, to: BAT:-, ohm: 0.01 }'])
    machine = settled(sheet)
    expect(machine.fetch('isolator_on').blown).to be_empty
    expect(machine.fetch('key_on').blown['F']).to be > 13.5
    expect([machine.fetch('running').positions.blown, volts_at(machine, 'L1:1', 'running')]).to eq([['F'], 0.0])
  end

  # By hand: a dead short behind 5 A draws about 1 kA; the 30 A before it carries the same, and holds.
  it 'blows the fuse with the largest share of its rating, then looks again' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: F30, kind: fuse, rating_ampere: 30 }',
                      '{ id: F5, kind: fuse, rating_ampere: 5 }', '{ id: L, kind: load, ohm: 2 }'],
                     ['{ number: 1, from: BAT:+, to: F30:1, ohm: 0.001 }', '{ number: 2, from: F30:2, to: F5:1, ohm: 0.001 }',
                      '{ number: 3, from: F5:2, to: BAT:-, ohm: 0.001 }', '{ number: 4, from: F30:2, to: L:1, ohm: 0.01 }',
                      '{ number: 5, from: L:2, to: BAT:-, ohm: 0.01 }'])
    expect([settled(sheet).fetch('off').positions.blown, volts_at(settled(sheet), 'L:1', 'off')]).to match([['F5'], be_within(0.2).of(11.8)])
  end

  # A start relay that pulls in only perhaps may hold itself in the state after, over its own contact.
  it 'carries what may have happened into the states after' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: S, kind: switch, closed_in: [key_on] }',
                      '{ id: R, kind: resistor, ohm: 40 }', '{ id: K, kind: relay, coil_ohm: 80, pull_in_volt: 8 }'],
                     ['{ number: 1, from: BAT:+, to: S:1, ohm: 0.01 }', '{ number: 2, from: S:2, to: R:1, ohm: 0.01 }',
                      '{ number: 3, from: R:2, to: K:86, ohm: 0.01 }', '{ number: 4, from: K:85, to: BAT:-, ohm: 0.01 }',
                      '{ number: 5, from: BAT:+, to: K:30, ohm: 0.01 }', '{ number: 6, from: K:87, to: K:86, ohm: 0.01 }'])
    running = settled(sheet).fetch('running')
    expect([running.positions.energised, running.others.map { |other| other.positions.energised }, running.uncertain]).to eq([[], [['K']], ['K']])
  end

  it 'takes the ohms of a contact that the sheet writes' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.000001 }'.sub('0.000001', '0.0001'), '{ id: K, kind: relay, coil_ohm: 80, ohm: 2 }',
                      '{ id: L, kind: load, ohm: 4 }'],
                     ['{ number: 1, from: BAT:+, to: K:86, ohm: 0.0001 }', '{ number: 2, from: K:85, to: BAT:-, ohm: 0.0001 }',
                      '{ number: 3, from: BAT:+, to: K:30, ohm: 0.0001 }', '{ number: 4, from: K:87, to: L:1, ohm: 0.0001 }',
                      '{ number: 5, from: L:2, to: BAT:-, ohm: 0.0001 }'])
    expect(volts_at(settled(sheet), 'L:1', 'off')).to be_within(0.01).of(8.0)
  end

  it 'drops 0.7 V over a diode forwards and lets nothing through backwards' do
    rows = ['{ id: BAT, kind: battery, volt: 12, ohm: 0.01 }', '{ id: R, kind: resistor, ohm: 100 }']
    wires = ['{ number: 1, from: BAT:+, to: R:1, ohm: 0.01 }', '{ number: 4, from: D:k, to: BAT:-, ohm: 0.01 }',
             '{ number: 2, from: R:2, to: D:a, ohm: 0.01 }']
    forward = settled(sheet_of([*rows, '{ id: D, kind: diode }'], wires))
    expect(volts_at(forward, 'D:a', 'off')).to be_within(0.05).of(0.7)
    turned = settled(sheet_of([*rows, '{ id: D, kind: diode }'], wires.map { |row| row.sub('D:k', 'D:x').sub('D:a', 'D:k').sub('D:x', 'D:a') }))
    expect(turned.fetch('off').solution.current(turned.circuit.item('R').branches.first)).to be_within(1e-9).of(0)
  end

  it 'refuses a key state the sheet has not' do
    expect { settled(fed_by_key).fetch('flying') }.to raise_error(Wattomneum::UnknownKeyError, /no key state flying/)
  end
end
