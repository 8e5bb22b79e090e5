# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::Kill::Branches do
  def read(text) = Wattomneum::Circuits::Notation::SheetReader.read(text).then { |result| result.sheet || raise(result.problems.join("\n")) }
  def branches(sheet) = described_class.new(sheet, sheet.stops.first)

  let(:shipped) { Wattomneum::Circuits::Library.fetch('magneto_kill') }

  # Two branches through one plug, one of them with two switches in a row, and a wire that ends on the metal by itself.
  let(:shared_plug) { read(<<~SHEET) }
    sheet: shared
    title: Branches through one plug
    system_volt: 12
    reference: BLOCK
    states: { running: Running, key_off: Key off, seat: Seat left }
    stops: [{ device: L1, runs: held, stud: ST, asked_in: [key_off, seat] }]
    components:
      - { id: U1, kind: battery, volt: 9, ohm: 40, active_in: [running, key_off, seat] }
      - { id: L1, kind: load, label: Spark, ohm: 4000, works_in: [running] }
      - { id: ST, kind: splice, label: Kill splice }
      - { id: X1, kind: connector, ways: 4 }
      - { id: S1, kind: switch, label: Key, closed_in: [key_off] }
      - { id: S2, kind: switch, label: Seat, closed_in: [seat] }
      - { id: S3, kind: switch, label: Blade, closed_in: [seat, key_off] }
      - { id: BLOCK, kind: body }
    wires:
      - { number: 1, from: "U1:+", to: ST, mm2: 1, length_m: 1 }
      - { number: 2, from: "U1:-", to: BLOCK, ohm: 0.01 }
      - { number: 3, from: "L1:1", to: "U1:+", ohm: 0.01 }
      - { number: 4, from: "L1:2", to: BLOCK, ohm: 0.01 }
      - { number: 5, from: ST, to: "X1:a/1", mm2: 1, length_m: 1 }
      - { number: 6, from: "X1:b/1", to: "S1:1", mm2: 1, length_m: 1 }
      - { number: 7, from: "S1:2", to: BLOCK, mm2: 1, length_m: 1 }
      - { number: 8, from: ST, to: "X1:a/2", mm2: 1, length_m: 1 }
      - { number: 9, from: "X1:b/2", to: "S2:1", mm2: 1, length_m: 1 }
      - { number: 10, from: "S2:2", to: "S3:1", mm2: 1, length_m: 1 }
      - { number: 11, from: "S3:2", to: BLOCK, mm2: 1, length_m: 1 }
      - { number: 12, from: ST, to: BLOCK, ohm: 5000 }
  SHEET

  it 'keeps branches apart that go through one plug, and names every switch in them' do
    found = branches(shared_plug)
    expect(found.all.map { |one| [one.number, one.label, one.asked] })
      .to eq([['5', 'Key', %w[key_off]], ['8', 'Seat, Blade', %w[key_off seat]], ['12', 'wire 12', []]])
    expect(found.lead).to eq(['1'])
  end

  it 'goes by the wire itself: a branch that is renumbered is the same branch' do
    renumbered = read(Wattomneum::Circuits::Notation::SheetWriter.write(shipped).gsub(/number: '?8'?$/, "number: '80'"))
    before, after = [shipped, renumbered].map { |sheet| branches(sheet) }
    expect(after.all.map(&:number)).to eq(%w[6 80 10 12 14])
    expect(after.all.map(&:key)).to eq(before.all.map(&:key))
    expect(after.find(before.all[1].key)).to have_attributes(number: '80', label: 'Door switch left')
    expect(after.find('8')).to be_nil
  end
end
