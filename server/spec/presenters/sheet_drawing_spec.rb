# frozen_string_literal: true

# A drawing is the same for all that have the sheet; what one unit has otherwise is written into it.
RSpec.describe Server::Presenters::Circuits::SheetDrawing do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('start_24v') }
  let(:row) { Server::Models::SheetDrawing.new.tap { |one| one.picture = JSON.generate('pictures' => Drawn.pictures('start_24v')) } }

  def pictures(overrides = {}) = described_class.call(row, sheet.with_overrides(overrides), overrides.keys)[:pictures]
  def wire(number, overrides = {}) = pictures(overrides).first['wires'].find { |one| one['number'] == number }
  def part(id, overrides = {}) = pictures(overrides).first['parts'].find { |one| one['part'] == id }

  it 'leaves everything where it lies' do
    number = sheet.wires.find(&:colour)
    moved = pictures(number.uuid => { 'colour' => 'pink' }).first
    same = ->(picture) { picture['wires'].map { |one| one['points'] } + picture['parts'].map { |one| one.values_at('x', 'y') } }
    expect(same.call(moved)).to eq(same.call(pictures.first))
  end

  it 'writes another colour in the room of the old one: in one line, in two, or not at all where there was room for the number alone' do
    number = sheet.wires.find { |one| one.colour && wire(one.number)['label']['lines'].one? }
    changed = wire(number.number, number.uuid => { 'colour' => 'pink/grey' })
    table = Wattomneum::Circuits::Drawing::WireColours::TABLE
    expect([changed['label']['lines'], changed['shades']]).to eq([["#{number.number} pink/grey"], table.values_at('pink', 'grey')])
    stacked = sheet.wires.find { |one| one.colour && wire(one.number)['label']['lines'].size == 2 }
    expect(wire(stacked.number, stacked.uuid => { 'colour' => 'tan' })['label']['lines']).to eq([stacked.number, 'tan'])
    bare = JSON.parse(row.picture)
    bare['pictures'].first['wires'].find { |one| one['number'] == number.number }['label']['lines'] = [number.number]
    row.picture = JSON.generate(bare)
    expect(wire(number.number, number.uuid => { 'colour' => 'pink' }).values_at('colour', 'label').then { |colour, label| [colour, label['lines']] })
      .to eq(['pink', [number.number]])
  end

  it 'writes another rating beside a fuse, and draws a heavier cable thicker' do
    fuse = sheet.part('F1')
    thin = sheet.wire('16')
    expect(part('F1', fuse.uuid => { 'rating_ampere' => 7.5 })['label']['lines'].first).to eq('F1 7.5 A')
    expect([wire('16')['thick'], wire('16', thin.uuid => { 'section_mm2' => 35.0 })['thick']]).to eq([false, true])
  end

  it 'has none where the sheet could not be drawn, and says why' do
    row.picture = nil
    row.problem = 'the drawing was not ready after 60 s'
    expect(described_class.call(row, sheet, [])).to eq(pictures: [], problem: 'the drawing was not ready after 60 s')
  end
end
