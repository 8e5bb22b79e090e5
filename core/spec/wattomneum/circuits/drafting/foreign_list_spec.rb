# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drafting::ForeignList do
  def list(text) = described_class.new(text)
  def guess(*headings) = list("#{headings.join(';')}\n#{headings.map { '1' }.join(';')}").guess
  def typed(text, **unit) = list(text).then { |one| one.typed(one.guess, **unit) }

  it 'guesses columns by their headings, whatever the hand' do
    expect(guess('Wire No.', 'From', 'To', 'Colour', 'mm²', 'Length [mm]', 'Harness'))
      .to eq('number' => 0, 'from' => 1, 'to' => 2, 'colour' => 3, 'size' => 4, 'length' => 5, 'zone' => 6)
    expect(guess('Nr', 'From connector', 'From cavity', 'To connector', 'To cavity', 'AWG'))
      .to eq('number' => 0, 'from' => 1, 'from_pin' => 2, 'to' => 3, 'to_pin' => 4, 'size' => 5)
    expect(guess('wire_id', 'Source', 'Pin', 'Target', 'Pin')).to eq('number' => 0, 'from' => 1, 'from_pin' => 2, 'to' => 3, 'to_pin' => 4)
    expect(guess('Remark', 'Price')).to eq({})
  end

  it 'reads ends in two columns, lengths in the unit of their heading, gauges, and numbers with a comma' do
    text = "Wire;From;Pin;To;Pin;Gauge;Length [mm];Color\n12;K1;30;F2;;10;1250,5;RD/WH\n;F2;;M1;1;2/0;;\n"
    one = list(text)
    expect(one.length_unit(one.guess)).to eq('mm')
    expect(one.typed(one.guess, length_unit: 'mm'))
      .to eq([{ 'number' => '12', 'from' => 'K1:30', 'to' => 'F2', 'colour' => 'red/white', 'size' => '10 AWG', 'length_m' => '1.2505' },
              { 'from' => 'F2', 'to' => 'M1:1', 'size' => '2/0 AWG' }])
  end

  # One inch is 25.4 mm, one foot 304.8 mm (international yard and pound agreement of 1959).
  it 'reckons inches and feet' do
    text = "wire,from,to,length in\n1,A1,B1,10\n2,A1,B1,long\n"
    one = list(text)
    unit = one.length_unit(one.guess)
    expect([unit, one.typed(one.guess, length_unit: unit).map { |wire| wire['length_m'] }]).to eq(['in', %w[0.254 long]])
    expect(typed("wire,from,to,length\n1,A1,B1,10\n", length_unit: 'ft').first['length_m']).to eq('3.048')
    expect(%w[feet inches m none].map { |word| list("a,b,length #{word}\n1,2,3").then { |foreign| foreign.length_unit('length' => 2) } })
      .to eq(%w[ft in m m])
  end

  # IEC 60757: BK, BN, RD, OG, YE, GN, BU, VT, GY, WH, PK, GD, TQ, SR; green-and-yellow is GNYE.
  it 'reads codes of colours, and leaves what is none as it is written' do
    colours = typed("wire,from,to,colour\n#{%w[RD rdwh BK-YE GNYE BU/TQ red red/white XX RDX lila GR].map { |code| "1,A,B,#{code}" }.join("\n")}\n")
    expect(colours.map { |wire| wire['colour'] })
      .to eq(['red', 'red/white', 'black/yellow', 'green/yellow', 'blue/turquoise', 'red', 'red/white', 'XX', 'RDX', 'lila', 'GR'])
  end

  it 'is read in Windows letters and UTF-16, with tabs, and with a line that says its mark' do
    rows = "Wire\tFrom\tTo\tColour\n1\tA:1\tB:1\tgr\u00fcn\n"
    [rows.encode('Windows-1252').b, "\uFEFF#{rows}".encode('UTF-16LE').b, "sep=\t\n#{rows}"].each do |text|
      expect(typed(text.dup.force_encoding('UTF-8')).first).to include('from' => 'A:1', 'colour' => "gr\u00fcn")
    end
  end

  it 'says in words what is no list, and what cannot be read of it' do
    { '' => /names no columns/, "wire,from,to\n" => /no row below/, "wire,from,to\n\"1,A,B\n" => /quotes do not close in line/ }.each do |text, words|
      expect { list(text) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
    one = list("wire,from,to\n1,A,B\n")
    { {} => /goes from/, { 'from' => 1 } => /goes to/, { 'from' => 1, 'to' => 9 } => /no such column/, { 'from' => 1, 'to' => 1 } => /two things/,
      { 'from' => 1, 'to' => 2, 'taste' => 0 } => /no such column for taste/ }.each do |columns, words|
      expect { one.typed(columns) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
  end

  it 'takes only the column of a pin for a pin, and none that is something else already' do
    expect(guess('From', 'Colour', 'To', 'Way')).to eq('from' => 0, 'colour' => 1, 'to' => 2, 'to_pin' => 3)
    expect(guess('From', 'Pin number', 'To', 'Price')).to eq('from' => 0, 'from_pin' => 1, 'to' => 2)
  end

  it 'shows what stands first in a column' do
    expect(list("wire,from\n1,A\n2,A\n3,\n4,B\n").examples(1)).to eq(%w[A B])
    expect(list("wire,from\n1,A\n2,B\n3,C\n4,D\n").examples(1)).to eq(%w[A B C])
  end

  describe Wattomneum::Circuits::Drafting::ListTaken do
    def row(kind, **typed) = Wattomneum::Circuits::Drafting::Draft::Row.new(uuid: SecureRandom.uuid, kind: kind, typed: typed.transform_keys(&:to_s))
    def taken(wires, components: true) = described_class.of(rows, wires, components: components) { SecureRandom.uuid }

    let(:rows) { [row('component', id: 'K1', kind: 'relay'), row('wire', number: '12', from: 'K1:87', to: 'K1:86', colour: 'red', zone: 'cab')] }

    it 'changes wires that are there by what the list says, and leaves the rest of them' do
      made = taken([{ 'number' => '12', 'from' => 'K1:87', 'to' => 'K1:85' }])
      expect(made.map { |one| [one.uuid, one.typed] })
        .to eq([[rows.last.uuid, { 'number' => '12', 'from' => 'K1:87', 'to' => 'K1:85', 'colour' => 'red', 'zone' => 'cab' }]])
      expect(taken([{ 'number' => '12', 'from' => 'K1:87' }])).to eq([])
    end

    it 'makes rows for new wires, with numbers that are free, and for components that nobody drew, with the pins that are named' do
      made = taken([{ 'from' => 'K1:30', 'to' => 'F1:2' }, { 'number' => 'w1', 'from' => 'F1:1', 'to' => 'STUD' },
                    { 'from' => 'F1', 'to' => 'K1:86' }])
      expect(made.map(&:typed)).to eq([{ 'id' => 'F1', 'kind' => '', 'facts' => 'note: "pins in the list: 2, 1"' },
                                       { 'id' => 'STUD', 'kind' => '', 'facts' => '' },
                                       { 'number' => 'w2', 'from' => 'K1:30', 'to' => 'F1:2' },
                                       { 'number' => 'w1', 'from' => 'F1:1', 'to' => 'STUD' },
                                       { 'number' => 'w3', 'from' => 'F1', 'to' => 'K1:86' }])
      expect(taken([{ 'from' => 'K1:30', 'to' => 'F1:2' }], components: false).map(&:kind)).to eq(['wire'])
    end

    it 'keeps the second row of one number as a row of its own' do
      made = taken([{ 'number' => '12', 'from' => 'K1:30' }, { 'number' => '12', 'from' => 'K1:85' }], components: false)
      expect(made.map { |one| [one.uuid == rows.last.uuid, one.typed['from']] }).to eq([[true, 'K1:30'], [false, 'K1:85']])
    end
  end
end
