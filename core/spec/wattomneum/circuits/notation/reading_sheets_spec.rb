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
    'a kind there is not' => [['{ id: X, kind: kettle }'], [], /"kettle", which is no kind of component/],
    'a fuse without a rating' => [[battery, '{ id: F1, kind: fuse }'], [], /fuse F1 has no rating_ampere/],
    'text in a number' => [[battery, '{ id: F1, kind: fuse, rating_ampere: ten }'], [], /rating_ampere is a number, got "ten"/],
    'a rating nobody makes' => [[battery, '{ id: F1, kind: fuse, rating_ampere: 5000 }'], [], /rating_ampere is 0.1 to 1000, got 5000/],
    'a key state there is not' => [[battery, '{ id: S1, kind: isolator, closed_in: [flying] }'], [], /names key states; flying is none/],
    'a field there is not' => [[battery, '{ id: L1, kind: load, ohm: 5, taste: salt }'], [], /load L1 has no "taste"/],
    'a ground on no body' => [[battery, '{ id: G1, kind: ground, body: MOON }'], [], /stands on MOON, which is no body/],
    'a wire of no length' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, length_m: 0 }'], /length_m of wire 1 is 0.01 to 500, got 0/],
    'a gauge nobody makes' => [[battery], ['{ number: 1, from: BAT:+, to: BAT:-, awg: 77 }'], /a gauge is 40 to 0/]
  }.each do |name, (components, wires, words)|
    it("objects to #{name}") { expect(objections(components, wires)).to include(match(words)) }
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

    it 'objects with line and column: unknown columns, missing columns, text in numbers, open quotes' do
      expect(with_csv("number,from\n1,BAT:+").problems.map(&:to_s)).to include(include('no column "to"'))
      expect(with_csv("number,from,to,taste\n1,BAT:+,L:1,x").problems.first.to_s).to include('line 1, column 4: column "taste"')
      expect(with_csv("number,from,to,mm2\n1,BAT:+,L:1,thick").problems.first.to_s)
        .to include('line 2, column 4: mm2 of wire 1 is a number, got "thick"')
      expect(with_csv("number,from,to\n1,\"BAT:+,L:1").problems.first.message).to include('quotes do not close')
    end
  end
end
