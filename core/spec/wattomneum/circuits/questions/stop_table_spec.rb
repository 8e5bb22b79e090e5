# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::StopTable do
  def machine(sheet) = Wattomneum::Circuits::Machine.new(sheet)
  def library(key) = Wattomneum::Circuits::Library.fetch(key)
  def table(sheet) = Wattomneum::Circuits::Questions::StopTable.new(machine(sheet), sheet.stops.first)
  def read(text) = Wattomneum::Circuits::Notation::SheetReader.read(text).then { |result| result.sheet || raise(result.problems.join("\n")) }
  def row(table, label) = table.rows.find { |one| one.how != 'fed' && one.label.include?(label) }
  def apart_from_fed(rows) = rows.reject { |one| one.how == 'fed' }
  def failing(row) = row.stops.reject { |_, stops| stops }.keys

  # A fuel rack pulled shut by volts, from a button that closes, over a relay; its vacuum pot needs a hose.
  let(:pulled_shut) { read(<<~SHEET) }
    sheet: pulled
    title: Pulled shut by volts
    system_volt: 12
    states: { running: Running, stop: Stop button pressed }
    stops: [{ device: Y1, runs: released, asked_in: [stop], hose: Vacuum hose, hose_lost: runs_on }]
    components:
      - { id: BAT, kind: battery }
      - { id: F1, kind: fuse, label: Headlamps, rating_ampere: 15 }
      - { id: H1, kind: load, label: Headlamp, watt: 55 }
      - { id: S1, kind: switch, label: Stop button, closed_in: [stop] }
      - { id: K1, kind: relay, label: Stop relay }
      - { id: Y1, kind: load, label: Stop solenoid, watt: 40 }
    wires:
      - { number: 1, from: "BAT:+", to: "F1:1", mm2: 4, length_m: 1 }
      - { number: 2, from: "F1:2", to: "S1:1", mm2: 1, length_m: 1 }
      - { number: 3, from: "S1:2", to: "K1:86", mm2: 1, length_m: 1 }
      - { number: 4, from: "K1:85", to: "BAT:-", mm2: 1, length_m: 1 }
      - { number: 5, from: "F1:2", to: "K1:30", mm2: 2.5, length_m: 1 }
      - { number: 6, from: "K1:87", to: "Y1:1", mm2: 2.5, length_m: 1 }
      - { number: 7, from: "Y1:2", to: "BAT:-", mm2: 2.5, length_m: 1 }
      - { number: 8, from: "F1:2", to: "H1:1", mm2: 1.5, length_m: 1 }
      - { number: 9, from: "H1:2", to: "BAT:-", mm2: 1.5, length_m: 1 }
  SHEET

  it 'stops every shipped engine by every way that its sheet names, and lets it run until it is asked' do
    drawn = Wattomneum::Circuits::Library.keys.map { |key| library(key) }.reject { |sheet| sheet.stops.empty? }
    expect(drawn.map(&:key)).to include('engine_stop', 'magneto_kill', 'genset', 'battery_ignition')
    drawn.each do |sheet|
      sound = table(sheet).sound
      expect([sheet.key, sound.running, sound.stops.values.uniq]).to eq([sheet.key, true, [true]])
    end
  end

  # Handbook, stop devices: held open by volts, a lost feed stops; a welded relay contact runs on.
  it 'says of a solenoid that holds to run that a lost feed stops it, and a welded contact does not, whatever button is pressed' do
    found = table(library('engine_stop'))
    expect(['Wire 17', 'F7 Side lamps', 'G3 Engine ground', 'X9 Rear loom plug'].map { |label| row(found, label).running }).to all(be(false))
    expect(failing(row(found, 'K4 Fuel solenoid relay, contact 30 to 87 welded'))).to eq(%w[isolator_on S5 S6])
    expect(failing(row(found, 'S5 Stop button on the dash, stuck closed'))).to eq(%w[S5])
    expect(apart_from_fed(found.will_not_stop).map(&:how).uniq).to eq(%w[stuck])
  end

  # Handbook: a control unit stops with its main relay lost, and runs on with its contact welded.
  it 'says of a control unit that a welded main relay runs on, and borrows nothing of what it switches itself' do
    found = table(library('ecu_power'))
    others = apart_from_fed(found.will_not_stop)
    expect(others.map { |row| [row.label, failing(row)] }).to eq([['K10 Main relay, contact 30 to 87 welded', %w[isolator_on]]])
    expect(row(found, 'F10 Main relay contact').running).to be(false)
    expect(found.borrowed).to eq([])
  end

  # Handbook: pulled shut by volts, a lost feed runs on; vacuum shut-off, a lost hose runs on.
  it 'says of one that is pulled shut by volts that nothing stops it without its feed, ground, control or hose' do
    found = table(pulled_shut)
    ['Wire 1', 'F1 Headlamps', 'Wire 3', 'K1 Stop relay', 'Wire 7', 'Y1 Stop solenoid', 'Vacuum hose', 'BAT'].each do |label|
      expect(row(found, label)).to be_nothing_stops, label
    end
    expect(row(found, 'K1 Stop relay, contact 30 to 87 welded').running).to be(false)
    expect(found.rows.first).to be_nothing_stops
  end

  it 'names a feed that is borrowed, with what else falls dead with it' do
    expect(table(pulled_shut).borrowed.map(&:to_a)).to eq([['F1 Headlamps', ['Headlamp']]])
    expect(table(library('engine_stop')).borrowed.map(&:fuse)).to eq(['F1 Key switch feed', 'F7 Side lamps (and fuel solenoid)'])
    expect(table(library('genset')).borrowed).to eq([])
  end

  # Handbook: magneto, an open kill lead runs on.
  it 'says which of the branches of a kill circuit a lost wire takes, and that the one kill lead takes them all' do
    found = table(library('magneto_kill'))
    expect(failing(row(found, 'X12 Engine plug, pin 1'))).to eq(found.asked.map(&:key))
    expect(failing(row(found, 'Wire 12'))).to eq(%w[emergency_stop])
    expect(failing(row(found, 'G12 Door ground'))).to eq(%w[door_left door_right])
    expect(row(found, 'S8 Door switch left, stuck closed').running).to be(false)
  end

  # Stopping at one station must not hide what is wrong at the other: each is asked of an engine that runs.
  it 'asks every station of an engine that runs' do
    found = table(library('genset'))
    expect(failing(row(found, 'S17 Stop button in the valve house'))).to eq(%w[stop_house])
    expect(failing(row(found, 'S16 Stop button at the set'))).to eq(%w[stop_here])
  end

  # By another way: the wire is not there at all, and the key states are drawn in the order they are gone through.
  def without(sheet, wire, asked)
    states = sheet.states.except(asked.state)
    ordered = asked.opened ? sheet.states : states.slice(*states.keys[..states.keys.index(sheet.stops.first.running)]).merge(asked.state => 'asked')
    fields = Wattomneum::Circuits::Sheet::FIELDS.to_h { |name| [name, sheet.public_send(name)] }
    wires = sheet.wires - [wire] - (asked.opened ? touching(sheet, asked.opened) : [])
    machine(Wattomneum::Circuits::Sheet.new(**fields, wires: wires, states: ordered))
  end

  def touching(sheet, id) = sheet.wires.select { |wire| [wire.from, wire.to].any? { |node| node.start_with?("#{id}:") } }

  def works?(machine, stop, state)
    watch = machine.circuit.watches.find { |one| one.key == stop.device && !one.signal? }
    Wattomneum::Circuits::Questions::Workings.new(machine.settled).works?(watch, state)
  end

  %w[engine_stop magneto_kill genset battery_ignition].each do |key|
    it "agrees with the circuit solved anew without each wire, on #{key}" do
      sheet = library(key)
      found = table(sheet)
      by_item = found.rows.select { |one| one.how == 'lost' }.to_h { |one| [one.item, one] }
      sheet.wires.product(found.asked).each do |wire, asked|
        row = by_item.fetch("wire #{wire.number}", found.sound)
        runs = works?(without(sheet, wire, asked), sheet.stops.first, asked.state)
        expect([wire.number, asked.key, row.stops.fetch(asked.key)]).to eq([wire.number, asked.key, !runs])
      end
    end
  end

  # By hand: a pressure switch before the solenoid is closed as long as the engine turns, so that a control switch that sticks leaves it its volts.
  def behind_pressure(said = '', parts: [], wires: [])
    sheet_of(['{ id: BAT, kind: battery }', '{ id: S9, kind: switch, label: Control switch, closed_in: [key_on, cranking, running] }',
              "{ id: B1, kind: switch, label: Oil pressure, closed_in: [cranking, running]#{said} }",
              '{ id: Y1, kind: load, label: Fuel solenoid, watt: 20 }', *parts],
             ['{ number: 1, from: BAT:+, to: S9:1 }', '{ number: 2, from: S9:2, to: B1:1 }', '{ number: 3, from: B1:2, to: Y1:1 }',
              '{ number: 4, from: Y1:2, to: BAT:- }', *wires],
             extra: 'stops: [{ device: Y1, runs: held, asked_in: ["off"] }]')
  end

  it 'leaves oil pressure as it is until the engine stands: it hides no switch that sticks' do
    found = table(behind_pressure)
    expect([found.sound.stops, row(found, 'S9 Control switch, stuck closed')]).to match([{ 'off' => true }, be_nothing_stops])
    # One that somebody turns with the key is what the sheet says it is.
    expect(row(table(behind_pressure(', follows: key')), 'S9 Control switch, stuck closed')).to be_nil
  end

  # By hand: 100 ohm by the drawing leave the solenoid nothing; what a test knows better, 10 milliohm, holds it while it is asked to stop too.
  it 'goes by what is known better than the drawing in every moment' do
    drawn = behind_pressure.with_wires_only(behind_pressure.wires.reject { |wire| wire.number == '3' })
    long = drawn.with_wires([behind_pressure.wire('3').with(ohm: 100.0)])
    branch = long.circuit.item('wire 3').branches.first
    known = Wattomneum::Circuits::Machine.new(long, ohms: { branch => 0.01 })
    found = described_class.new(known, long.stops.first)
    expect([table(long).sound.running, found.sound.running, row(found, 'S9 Control switch, stuck closed')]).to match([false, true, be_nothing_stops])
  end

  it 'names no way that never stops it by the drawing as one that a fault takes away' do
    sheet = behind_pressure(', follows: key', wires: ['{ number: 5, from: BAT:+, to: Y1:1 }'])
    expect([table(sheet).sound.stops,
            Wattomneum::Circuits::Questions::StopFindings.new(machine(sheet), table(sheet)).words]).to eq([{ 'off' => false }, []])
  end

  # By hand: D+ without its lamp feeds back through 1 ohm: of 14.2 V a solenoid of 7 ohm has 12.4.
  it 'sees an alternator that turns feed what the key has let go' do
    fed_back = behind_pressure(parts: ['{ id: G, kind: alternator }', '{ id: R1, kind: resistor, ohm: 1 }'],
                               wires: ['{ number: 10, from: G:B+, to: BAT:+ }', '{ number: 11, from: G:case, to: BAT:- }',
                                       '{ number: 12, from: G:D+, to: R1:1 }', '{ number: 13, from: R1:2, to: Y1:1 }'])
    expect(table(fed_back).sound).to have_attributes(running: true, stops: { 'off' => false })
  end

  # By hand: whatever touches the live side behind the last contact holds the solenoid; before it, it changes nothing.
  it 'says of every wire what becomes of the stop when it touches a live one' do
    found = table(behind_pressure(', follows: key'))
    fed = found.rows.select { |one| one.how == 'fed' }
    expect(fed.map { |one| [one.item, one.nothing_stops?] }).to eq([['wire 3', true]])
    expect(table(behind_pressure).rows.select { |one| one.how == 'fed' }.map(&:item)).to eq(['wire 2', 'wire 3'])
    expect(found.rows.map(&:item)).not_to include('wire 4 fed')
  end

  describe Wattomneum::Circuits::Questions::StopFindings do
    def words(sheet) = machine(sheet).then { |made| described_class.new(made, table(sheet)).words }

    it 'says in a sentence for each kind of fault what stops nothing, and by repair units, not by every end' do
      expect(words(behind_pressure)).to eq(['Nothing stops it with S9 Control switch, stuck closed.',
                                            'Nothing stops it if wire 2 or wire 3 touches a live wire.'])
      pulled = words(pulled_shut)
      expect(pulled).to include(start_with('Nothing stops it if wire 1, '), 'Nothing stops it if the vacuum hose comes off.')
      expect(pulled.join).to match(/ or one of \d+ more opens/)
    end

    it 'names the ways that fail where others still stop it' do
      expect(words(library('engine_stop'))).to include('Stop button on the dash pressed: not stopped with S5 Stop button on the dash, stuck closed.')
      expect(words(library('magneto_kill'))).to include('Nothing stops it if wire 1, wire 5, ring of wire 5 on ST2 or X12 pin 1 opens.',
                                                        'Turning, oil low: not stopped if wire 14, wire 15, ring of wire 14 on ST2 or S11 opens.')
    end
  end

  it 'is read with every objection, and written as it was read' do
    text = Wattomneum::Circuits::Notation::SheetWriter.write(pulled_shut)
    expect(read(text).stops).to eq(pulled_shut.stops)
    { 'device: Y1' => ['device: F1', /shows no working/], 'asked_in: [stop]' => ['asked_in: [park]', /names key states/],
      'runs: released' => ['runs: always', /runs is held, released/], 'asked_in: [stop],' => ['', /how it is asked for/],
      'hose_lost: runs_on' => ['pressed: [Y1]', /is no switch/], 'device: Y1,' => ['device: Y1, running: on,', /no key state on/] }
      .each do |was, (now, words)|
      expect { read(plain.sub(was, now)) }.to raise_error(words)
    end
  end

  # With its stops in one line, as people write them.
  def plain
    stops = "stops: [{ device: Y1, runs: released, asked_in: [stop], hose: Vacuum hose, hose_lost: runs_on }]\n"
    Wattomneum::Circuits::Notation::SheetWriter.write(pulled_shut).sub(/^stops:\n(?:[-\s].*\n)+?(?=\w)/, stops)
  end

  it 'takes for what nothing stops only an engine that goes on, however it is asked' do
    left = lambda { |running, *stops|
      described_class::Row.new(running: running, stops: stops.each_with_index.to_h do |one, at|
        [at, one]
      end).nothing_stops?
    }
    expect([left.call(true, false, false), left.call(true, false, true), left.call(false, false, false)]).to eq([true, false, false])
  end
end
