# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::OwnFacts do
  let(:sheet) { read(<<~SHEET) }
    sheet: own
    title: Own
    system_volt: 24
    zones: { cab: { label: Cab }, frame: { label: Frame } }
    components:
      - { id: BAT, kind: battery }
      - { id: F1, kind: fuse, rating_ampere: 15, zone: cab }
      - { id: A1, kind: connector, ways: 2 }
      - { id: L1, kind: load, ohm: 10 }
      - { id: W1, kind: relay, changeover: false }
    wires:
      - { number: 1, from: "BAT:+", to: "F1:1", mm2: 4, length_m: 2 }
      - { number: 2, from: "F1:2", to: "L1:1", colour: red, awg: 12, length_m: 3, ohm: 0.5 }
      - { number: 3, from: "L1:2", to: "BAT:-" }
      - { number: 4, from: "F1:2", to: "W1:86" }
      - { number: 5, from: "W1:85", to: "BAT:-" }
  SHEET

  def read(text) = Wattomneum::Circuits::Notation::SheetReader.read(text).sheet
  def uuid(name) = (sheet.wire(name) || sheet.part(name)).uuid
  def own(overrides = {}) = described_class.new(sheet, overrides)
  def changed(name, field, text, overrides = {}) = own(overrides).change(uuid(name), field, text)
  def wire(name, overrides) = sheet.with_overrides(overrides).wire(name)
  def said(name, overrides = {}) = own(overrides).of(uuid(name)).to_h { |fact| [fact.field, fact.says] }

  it 'tells every fact of a wire and of a component as people type it, with its unit' do
    expect(said('1')).to eq('from' => 'BAT:+', 'to' => 'F1:1', 'colour' => nil, 'size' => '4 mm2', 'length_m' => '2', 'ohm' => nil, 'zone' => nil)
    facts = own.of(uuid('F1'))
    expect(facts.map { |fact| [fact.label, fact.unit, fact.type, fact.says] })
      .to eq([['label', nil, 'text', nil], ['zone', nil, 'choice', 'cab'], ['guards', nil, 'text', nil], ['note', nil, 'text', nil],
              %w[rating A number 15], ['resistance', 'ohm', 'number', nil], ['slot', nil, 'text', nil]])
    expect(own.of(uuid('W1')).find { |fact| fact.field == 'changeover' }.to_h).to include(choices: %w[yes no], says: 'no', type: 'choice')
  end

  # ISO 6722-1: at most 7.6 mohm a metre at 20 degC for 2.5 mm2.
  it 'takes a size and length, and what the sheet says of ohms gives way' do
    overrides = changed('2', 'size', '2,5 mm2')
    overrides = changed('2', 'length_m', '10', overrides)
    expect(wire('2', overrides).resistance_ohm).to be_within(0.0005).of(0.076)
    expect(own(overrides).all.map { |one| [one.item, one.fact.label, one.fact.sheet_says, one.fact.says] })
      .to eq([['wire 2', 'size', '12 AWG', '2.5 mm2'], ['wire 2', 'length', '3', '10'], ['wire 2', 'resistance', '0.5', nil]])
    overrides = changed('2', 'size', nil, changed('2', 'length_m', '', overrides))
    expect([overrides, wire('2', overrides).resistance_ohm]).to eq([{}, 0.5])
  end

  it 'keeps ohms that were measured on the unit, whatever its size is' do
    overrides = changed('2', 'length_m', '9', changed('2', 'ohm', '0.31'))
    expect(wire('2', overrides).resistance_ohm).to eq(0.31)
    overrides = changed('2', 'ohm', nil, overrides)
    expect(own(overrides).all.map { |one| one.fact.field }).to eq(%w[length_m])
  end

  # AWM 12 AWG has 5.21 mohm a metre (ASTM B258).
  it 'lets a gauge take the place of a metric size' do
    overrides = changed('1', 'size', '12 awg')
    expect([wire('1', overrides).size, wire('1', overrides).resistance_ohm]).to match(['12 AWG', be_within(0.0003).of(2 * 0.00521)])
    expect(changed('1', 'size', '4 mm2', overrides)).to eq({})
  end

  it 'lets watts take the place of ohms, and gives them back' do
    overrides = changed('L1', 'watt', '48')
    expect(sheet.with_overrides(overrides).part('L1').branches.first.ohm).to eq(12.0)
    expect(changed('L1', 'watt', nil, overrides)).to eq({})
  end

  it 'names ends as they are drawn, and takes them by any of their names' do
    overrides = changed('2', 'to', 'A1:b/1')
    expect(wire('2', overrides).to).to eq('A1:b/1')
    expect(changed('2', 'to', 'L1:1', overrides)).to eq({})
  end

  it 'forgets what is the same as the sheet says' do
    expect(%w[15 15,0 15.00].map { |text| changed('F1', 'rating_ampere', text) }).to all(eq({}))
    expect(changed('3', 'to', 'BAT:-')).to eq({})
    expect(changed('F1', 'rating_ampere', '20')).to eq(uuid('F1') => { 'rating_ampere' => 20 })
  end

  it 'refuses what cannot be, and says what may' do
    { %w[1 length_m many] => /length is a number, got "many"/, %w[1 size thick] => /no size of a wire: write 2.5 mm2 or 10 AWG/,
      %w[1 length_m 900] => /0.01 to 500/, %w[2 to L9:1] => /cannot go to L9:1/, %w[1 zone moon] => /Zones here|does not name/,
      %w[F1 rating_ampere 5000] => /0.1 to 1000/, %w[W1 changeover perhaps] => /yes or no/, %w[2 size 77AWG] => /a gauge is 40/,
      %w[2 to F1:2] => /back to itself/ }.each do |arguments, words|
      expect { changed(*arguments) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
    expect { changed('F1', 'kind', 'relay') }.to raise_error(Wattomneum::UnknownKeyError, /F1 has no kind/)
    expect { own.of('0000') }.to raise_error(Wattomneum::UnknownKeyError, /no item/)
  end

  it 'says of every wire and component of every shipped sheet what it says, and takes each of it back' do
    Wattomneum::Circuits::Library.keys.map { |key| Wattomneum::Circuits::Library.fetch(key) }.each do |shipped|
      facts = described_class.new(shipped, {})
      [*shipped.parts, *shipped.wires].each do |item|
        told = facts.of(item.uuid)
        expect(told.none?(&:own?)).to be(true)
        told.select(&:says).each { |fact| expect(facts.change(item.uuid, fact.field, fact.says)).to eq({}) }
      end
    end
  end
end
