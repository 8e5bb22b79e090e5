# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Questions::StopTable do
  def machine(sheet) = Wattomneum::Circuits::Machine.new(sheet)
  def library(key) = Wattomneum::Circuits::Library.fetch(key)
  def table(sheet) = described_class.new(machine(sheet), sheet.stops.first)
  def read(text) = Wattomneum::Circuits::Notation::SheetReader.read(text).then { |result| result.sheet || raise(result.problems.join("\n")) }
  def row(table, label) = table.rows.find { |one| one.label.include?(label) }
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
    expect(found.will_not_stop.map(&:how).uniq).to eq(%w[stuck])
  end

  # Handbook: a control unit stops with its main relay lost, and runs on with its contact welded.
  it 'says of a control unit that a welded main relay runs on, and borrows nothing of what it switches itself' do
    found = table(library('ecu_power'))
    expect(found.will_not_stop.map { |row| [row.label, failing(row)] }).to eq([['K10 Main relay, contact 30 to 87 welded', %w[isolator_on]]])
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
