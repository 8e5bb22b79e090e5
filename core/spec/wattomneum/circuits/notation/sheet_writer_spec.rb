# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Notation::SheetWriter do
  let(:sheet) do
    sheet_of(['{ id: BAT, kind: battery }', '{ id: A, kind: control_unit, pins: [{ pin: "A/7", role: supply }, { pin: "B/7", role: ground }] }',
              '{ id: ST, kind: stud }'],
             ['{ number: 1, from: BAT:+, to: A:7, colour: red, mm2: 1.5, length_m: 2.25, shielded: true }', '{ number: 2, from: ST, to: BAT:- }'],
             extra: "zones: { box: { label: Box, exposure: [wet] } }\nnote: Look twice\nlinks: [{ from: 'BAT:+', sheet: other, at: 'F1:1' }]")
  end
  let(:text) { described_class.write(sheet) }

  it 'writes a loose end as it was drawn, so that it stays a conflict and is not lost' do
    again = Wattomneum::Circuits::Notation::SheetReader.read(text).sheet
    expect(text).to include('to: A:7')
    expect(again.loose_ends.map(&:drawn)).to eq(['A:7'])
  end

  it 'writes UUIDs, zones, notes and links, and leaves out what is empty' do
    expect(text).to include(sheet.wire('1').uuid, sheet.part('A').uuid, 'label: Box', 'note: Look twice', 'sheet: other')
    expect(text).not_to include('gauge', 'places', 'twisted_with')
  end

  it 'keeps every figure' do
    wire = Wattomneum::Circuits::Notation::SheetReader.read(text).sheet.wire('1')
    expect([wire.section_mm2, wire.length_m, wire.shielded, wire.resistance_ohm]).to eq([1.5, 2.25, true, sheet.wire('1').resistance_ohm])
  end
end
