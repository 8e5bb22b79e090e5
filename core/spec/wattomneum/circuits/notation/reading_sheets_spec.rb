# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Notation::SheetReader do
  battery = '{ id: BAT, kind: battery }'

  def objections(components, wires, **rest) = read_sheet(components, wires, **rest).problems.map(&:to_s)

  it 'says line, column, what is wrong and the way out for a pin that does not exist' do
    found = objections([battery, '{ id: K1, kind: relay }'],
                       ['{ number: 1, from: BAT:+, to: K1:86 }', '{ number: 2, from: K1:85, to: BAT:- }', '{ number: 3, from: BAT:+, to: K1:88 }'])
    expect(found).to eq(['line 11, column 35: wire 3 goes to K1:88, which relay K1 has not. Pins of K1: 30, 85, 86, 87'])
  end

  {
    'two wires with one number' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:- }', '{ number: 1, from: BAT:+, to: BAT:- }'],
                                    /wire 1 stands here twice, first in line 8/],
    'a component nobody drew' => [[battery], ['{ number: 1, from: BAT:+, to: F9:1 }'], /goes to F9:1, and no component is called that/],
    'a relay with no coil feed' => [[battery, '{ id: K1, kind: relay }'], ['{ number: 1, from: BAT:+, to: K1:30 }'],
                                    /relay K1 has no coil feed: nothing goes to pin 86 and 85/],
    'two fuses under one id' => [[battery, '{ id: F1, kind: fuse, rating_ampere: 5 }', '{ id: F1, kind: fuse, rating_ampere: 30 }'], [],
                                 /line 8, column 11: F1 stands here twice. Two components need two ids: F1a, F1b/],
    'the same fuse drawn twice' => [[battery, *(['{ id: F1, kind: fuse, rating_ampere: 5 }'] * 2)], [], /F1 stands here twice\./],
    'a load and a fuse under one id' => [[battery, '{ id: L1, kind: load, ohm: 5 }', '{ id: L1, kind: fuse, rating_ampere: 5 }'], [],
                                         /L1 stands here twice, as load and fuse/],
    'a plug that has other pins where it is drawn again' => [[battery, '{ id: X, kind: connector, pins: [a, b] }',
                                                              '{ id: X, kind: connector, pins: [a, c] }'], [], /X stands here twice\./],
    'a kind there is not' => [['{ id: X, kind: kettle }'], [], /"kettle", which is no kind of component/],
    'a fuse without a rating' => [[battery, '{ id: F1, kind: fuse }'], [], /fuse F1 has no rating_ampere/],
    'text in a number' => [[battery, '{ id: F1, kind: fuse, rating_ampere: ten }'], [], /rating_ampere is a number, got "ten"/],
    'a rating nobody makes' => [[battery, '{ id: F1, kind: fuse, rating_ampere: 5000 }'], [], /rating_ampere is 0.1 to 1000, got 5000/],
    'a key state there is not' => [[battery, '{ id: S1, kind: isolator, closed_in: [flying] }'], [], /names key states; flying is none/],
    'a field there is not' => [[battery, '{ id: L1, kind: load, ohm: 5, taste: salt }'], [], /load L1 has no "taste"/],
    'a ground on no body' => [[battery, '{ id: G1, kind: ground, body: MOON }'], [], /stands on MOON, which is no body/],
    'a wire of no length' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, length_m: 0 }'], /length_m of wire 1 is 0.01 to 500, got 0/],
    'a role no pin of a control unit has' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1, role: supplly }] }'], [],
                                              /control unit A pins 1 role is supply, .*, got supplly/],
    'a pin without a role' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1 }] }'], [], /control unit A pins 1 has no role/],
    'a field no pin has' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1, role: input, taste: salt }] }'], [], /pins 1 has no "taste"/],
    'a state no pin knows' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1, role: low_side, active_in: [flying] }] }'], [],
                               /active_in names key states; flying is none/],
    'a pin twice' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1, role: input }, { pin: 1, role: ground }] }'], [], /has pin 1 twice/],
    'a need for a pin that is not there' => [[battery, '{ id: A, kind: control_unit, pins: [{ pin: 1, role: low_side, needs: [9] }] }'], [],
                                             /has no pin 9, which it names itself/],
    'an alias for a pin that is not there' => [[battery, '{ id: K1, kind: relay, aliases: { "50": "88" } }'], [],
                                               /has no pin 88, which it names itself/],
    'a contact in a state there is not' => [[battery, '{ id: S, kind: switch, contacts: [{ from: 30, to: 15, closed_in: [flying] }] }'], [],
                                            /closed_in names key states; flying is none/],
    'a switch that is never said to close' => [[battery, '{ id: S, kind: switch }'], [], /switch S has no closed_in and no contacts/],
    'a load without ohms' => [[battery, '{ id: L, kind: load }'], [], /load L has no ohm and no watt/],
    'a sensor without ohms' => [[battery, '{ id: B, kind: sensor }'], [], /sensor B has no ohm/],
    'a load with three pins' => [[battery, '{ id: L, kind: load, ohm: 5, pins: [a, b, c] }'], [], /pins are 2 to 2, got 3/],
    'half a way' => [[battery, '{ id: X, kind: connector, ways: 2.5 }'], [], /ways is a whole number, got 2.5/],
    'a decimal comma in curly brackets' => [[battery, '{ id: L, kind: load, ohm: 12,6 }'], [], /has a comma before "6"/],
    'a label that is no text' => [[battery, '{ id: L, kind: load, ohm: 5, label: [a, b] }'], [], /label is a word or a name/],
    'a wire back to where it came from' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:+ }'], /goes from BAT:\+ back to itself/],
    'a shield that is neither' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, shielded: perhaps }'], /shielded of wire 1 is yes or no/],
    'a colour that is no text' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, colour: [red] }'], /colour of wire 1 is text/],
    'a UUID that is none' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, uuid: seven }'], /uuid of wire 1 is no UUID/],
    'a gauge nobody makes' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, awg: 77 }'], /a gauge is 40 to 0/]
  }.each do |name, (components, wires, words)|
    it("objects to #{name}") { expect(objections(components, wires)).to include(match(words)) }
  end

  it 'says all that is wrong with a wire at once' do
    found = objections([battery], ['{ number: 1, from: BAT:+, to: F9:1, awg: 99, mm2: 900, zone: moon }'], extra: 'zones: { box: { label: Box } }')
    expect(found).to contain_exactly(include('goes to F9:1, and no component'), include('a gauge is 40 to 0'), match(/mm2 of wire 1 is 0.1 to 400/),
                                     include('runs through zone moon, which the sheet does not name'))
  end

  it 'objects to a colour nobody knows where somebody writes it now, and still reads what was kept with one' do
    wires = ['{ number: 1, from: BAT:+, to: BAT:-, colour: pink/turqoise }', '{ number: 2, from: BAT:+, to: BAT:-, colour: Light Blue / RED }',
             '{ number: 3, from: BAT:+, to: BAT:-, colour: red/blue/green/white }']
    expect(objections([battery], wires, written_now: true))
      .to contain_exactly(start_with('line 8, column 50: wire 1 is "pink/turqoise", and "turqoise" is no colour known here. Colours are red, black,'),
                          include('wire 3 is "red/blue/green/white"'))
    expect(sheet_of([battery], wires).wires.map(&:colour)).to eq(['pink/turqoise', 'Light Blue / RED', 'red/blue/green/white'])
  end

  it 'refuses aliases, tags, doubled keys, depth and size before anything is built' do
    expect(described_class.read("a: &x [1]\nb: *x").problems.map(&:to_s)).to include(include('aliases are not read'))
    expect(described_class.read('sheet: !ruby/object:Object {}').problems).not_to be_empty
    expect(described_class.read("sheet: a\nsheet: b").problems.first.to_s).to include('line 2, column 1: "sheet" stands here twice')
    expect(described_class.read("sheet: #{'[' * 40}#{']' * 40}").problems.first.message).to include('nested too deep')
    expect(described_class.read("sheet: '#{'x' * 2_100_000}'").problems.first.message).to include('larger than 2 MB')
    expect(described_class.read('').problems.first.message).to include('empty')
    expect(described_class.read("sheet: [\n").problems.first.message).to include('not readable as YAML')
  end

  { 'a second document' => ["---\nsheet: other", /line 7, column 1: a second sheet begins here/],
    'an exposure nobody knows' => ['zones: { rail: { label: Rail, exposure: [mud] } }', /zone rail is exposed to mud/],
    'a zone without fields' => ['zones: { rail: 5 }', /zone rail has a label/],
    'places that are a list' => ['places: [a]', /places are named, each with a pin/],
    'loops that are none' => ['loops: 5', /loops are a list/],
    'a loop of another kind' => ['loops: [{ key: blow, load: L, state: running }]', /a loop key is start, charge, got blow/],
    'states that hold lists' => ['states: { off: [1] }', /states are named in the order/],
    'a link with a set in it' => ['links: [{ from: BAT:+, sheet: { a: 1 } }]', /a link has from, sheet, at and note/] }.each do |name, (extra, words)|
    it "objects at the top to #{name}" do
      text = "sheet: spec\ntitle: Spec\nsystem_volt: 12\nreference: BAT:-\ncomponents: [{ id: BAT, kind: battery }]\nwires: []\n#{extra}"
      expect(described_class.read(text).problems.map(&:to_s)).to include(match(words))
    end
  end

  it 'objects to two items with one UUID' do
    uuid = SecureRandom.uuid
    wires = ["{ number: 1, from: BAT:+, to: BAT:-, uuid: #{uuid} }", "{ number: 2, from: BAT:+, to: BAT:-, uuid: #{uuid} }"]
    expect(objections([battery], wires)).to include(match(/line 9, .*wire 1 and wire 2 have one UUID/))
  end

  it 'reads "12,6", "10k", "4k7" and "1e5" as numbers' do
    sheet = sheet_of([%({ id: BAT, kind: battery, volt: "12,6" }), '{ id: R1, kind: resistor, ohm: 10k }', '{ id: R2, kind: resistor, ohm: 4k7 }',
                      '{ id: R3, kind: resistor, ohm: 1e5 }'], [%({ number: 1, from: BAT:+, to: R1:1, length_m: "2,5" })])
    expect([sheet.part('BAT').fields['volt'], *%w[R1 R2 R3].map { |id| sheet.part(id).branches.first.ohm }, sheet.wire('1').length_m])
      .to eq([12.6, 10_000.0, 4700.0, 100_000.0, 2.5])
  end

  it 'finds a pin however it is drawn: run together, by its alias, in wires, links, places and the reference alike' do
    text = <<~SHEET
      sheet: spec
      title: Spec
      system_volt: 12
      reference: BLOCK
      places: { solenoid_terminal: "K2:50" }
      links: [{ from: "K2:50", sheet: other }]
      components:
        - { id: BAT, kind: battery }
        - { id: BLOCK, kind: body }
        - { id: K2, kind: relay, aliases: { "50": "86" } }
        - { id: A1, kind: control_unit, pins: [{ pin: A/87, role: supply }, { pin: B/87, role: ground }] }
      wires:
        - { number: 1, from: "BAT:+", to: "A1:B87" }
        - { number: 2, from: "BAT:+", to: "K2:50" }
        - { number: 3, from: "K2:85", to: BLOCK }
    SHEET
    sheet = described_class.read(text).sheet
    expect([sheet.wire('1').to, sheet.wire('2').to, sheet.places['solenoid_terminal'], sheet.links.first.from, sheet.reference])
      .to eq(%w[A1:B/87 K2:86 K2:86 K2:86 BLOCK:metal])
  end

  it 'gives every objection at once, in order of lines' do
    found = read_sheet([battery, '{ id: F1, kind: fuse }', '{ id: F2, kind: fuse }'], []).problems
    expect(found.map(&:line)).to eq(found.map(&:line).sort)
    expect(found.size).to eq(2)
  end

  it 'takes a sheet of a thousand wires, and answers' do
    loads = Array.new(500) { |index| "{ id: L#{index}, kind: load, ohm: 100 }" }
    wires = Array.new(500) do |index|
      ["{ number: #{index}a, from: BAT:+, to: L#{index}:1, mm2: 1, length_m: 2 }",
       "{ number: #{index}b, from: L#{index}:2, to: BAT:-, mm2: 1, length_m: 2 }"]
    end
    sheet = sheet_of([battery, *loads], wires.flatten)
    expect(sheet.wires.size).to eq(1000)
    expect(volts_at(settled(sheet), 'L499:1', 'running')).to be_between(11, 12.6)
  end

  it 'keeps the UUID of an item through renumbering and through a new version' do
    first = sheet_of([battery, '{ id: F1, kind: fuse, rating_ampere: 10 }'], ['{ number: 1, from: BAT:+, to: F1:1 }'])
    uuid = first.wire('1').uuid
    renumbered = Wattomneum::Circuits::Notation::SheetWriter.write(first).sub("number: '1'", "number: '101'")
    expect(described_class.read(renumbered).sheet.wire('101').uuid).to eq(uuid)
    longer = read_sheet([battery, '{ id: F1, kind: fuse, rating_ampere: 10 }'], ['{ number: 1, from: BAT:+, to: F1:1, length_m: 9 }'],
                        earlier: first).sheet
    expect(longer.wire('1').uuid).to eq(uuid)
  end

  describe 'overrides of one unit' do
    let(:sheet) { sheet_of([battery, '{ id: F1, kind: fuse, rating_ampere: 10 }'], ['{ number: 1, from: BAT:+, to: F1:1, mm2: 1, length_m: 1 }']) }

    it 'change lengths, sizes and ratings, and nothing else' do
      changed = sheet.with_overrides(sheet.wire('1').uuid => { 'length_m' => 4.0 }, sheet.part('F1').uuid => { 'rating_ampere' => 15 })
      expect(changed.wire('1').resistance_ohm).to be_within(1e-12).of(4 * sheet.wire('1').resistance_ohm)
      expect([changed.part('F1').rating_ampere, sheet.part('F1').rating_ampere]).to eq([15.0, 10.0])
    end

    it 'refuse an item and a field that are not there' do
      expect { sheet.with_overrides(SecureRandom.uuid => {}) }.to raise_error(Wattomneum::UnknownKeyError, /has no item/)
      expect { sheet.with_overrides(sheet.wire('1').uuid => { 'taste' => 1 }) }.to raise_error(Wattomneum::InvalidQuantityError, /no taste/)
    end
  end

  describe 'a wire list as a table' do
    def with_csv(csv)
      yaml = sheet_text(['{ id: BAT, kind: battery }', '{ id: L, kind: load, ohm: 6 }'], []).delete_suffix("\nwires: []")
      described_class.read(yaml, wires_csv: csv)
    end

    it 'is read with semicolons, decimal commas and Windows encoding' do
      csv = "number;from;to;colour;mm2;length_m\r\n1;BAT:+;L:1;gr\xFCn;2,5;1,5\r\n2;L:2;BAT:-;braun;2,5;0,4\r\n".b
      wire = with_csv(csv).sheet.wire('1')
      expect([wire.colour, wire.section_mm2, wire.length_m]).to eq(['grün', 2.5, 1.5])
    end

    it 'is read as UTF-16, and with a line that names the separator' do
      csv = "sep=;\r\nnumber;from;to;colour;ohm\r\n1;BAT:+;L:1;gr\u00fcn;4k7\r\n"
      ["\uFEFF#{csv}".encode(Encoding::UTF_16LE), "\uFEFF#{csv}".encode(Encoding::UTF_16BE), csv].each do |text|
        wire = with_csv(text.b).sheet.wire('1')
        expect([wire.colour, wire.ohm]).to eq(["gr\u00fcn", 4700.0])
      end
    end

    it 'objects to a cell more than there are columns' do
      expect(with_csv("number,from,to,colour\n1,BAT:+,L:1,red,blue").problems.map(&:to_s))
        .to include(include('line 2, column 5: wire 1 has a cell more than there are columns'))
    end

    it 'objects with line and column: unknown columns, missing columns, text in numbers, open quotes' do
      expect(with_csv("number,from\n1,BAT:+").problems.map(&:to_s)).to include(include('no column "to"'))
      expect(with_csv("number,from,to,taste\n1,BAT:+,L:1,x").problems.first.to_s).to include('line 1, column 4: column "taste"')
      expect(with_csv("number,from,to,mm2\n1,BAT:+,L:1,thick").problems.first.to_s)
        .to include('line 2, column 4: mm2 of wire 1 is a number, got "thick"')
      expect(with_csv("number,from,to\n1,\"BAT:+,L:1").problems.first.message).to include('quotes do not close')
    end
  end
end
