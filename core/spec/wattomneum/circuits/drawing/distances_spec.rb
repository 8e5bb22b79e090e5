# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Distances do
  def distances(key) = described_class.new(Wattomneum::Circuits::Library.fetch(key))

  # Counted by hand along the drawing: a wire is 1, through a contact, fuse or plug 1, through a load or coil 4.
  it 'counts wires and contacts from the post, and loads as farther' do
    far = distances('start_24v')
    counted = { 'BAT_B:+' => 0, 'S1:1' => 1, 'S1:2' => 2, 'K2:30' => 3, 'ST1:joint' => 3, 'F1:1' => 4, 'F1:2' => 5, 'X1:a/1' => 6, 'X1:b/1' => 7,
                'S2:30' => 8, 'S2:50' => 9, 'X1:b/2' => 10, 'X1:a/2' => 11, 'K1:86' => 12, 'K1:85' => 16, 'K2:87' => 4, 'M1:+' => 5, 'M1:case' => 9 }
    expect(counted.to_h { |node, _| [node, far.of(node)] }).to eq(counted)
  end

  it 'knows which post feeds: the upper one of a row, each of those side by side' do
    expect(distances('start_24v').feeding_posts).to eq(['BAT_B:+'])
    posts = Wattomneum::Circuits::Library.fetch('start_12v').parts.grep(Wattomneum::Circuits::Parts::Battery).map { |one| one.node('+') }
    expect(distances('start_12v').feeding_posts).to match_array(posts)
  end

  it 'counts what a control unit feeds from that unit' do
    far = distances('ecu_power')
    expect(far.from_unit?('A1:B/1')).to be(true)
    expect(far.from_unit?('A1:A/1')).to be(false)
  end

  it 'reaches every pin that a wire ends on, battery or none' do
    Wattomneum::Circuits::Library.keys.map { |key| Wattomneum::Circuits::Library.fetch(key) }.each do |sheet|
      far = described_class.new(sheet)
      metal = sheet.parts.grep(Wattomneum::Circuits::Parts::Body).map { |one| one.node('metal') }
      ends = sheet.wires.flat_map { |wire| [wire.from, wire.to] } - metal
      expect(ends.select { |node| far.of(node) == described_class::FAR }).to be_empty, sheet.key
    end
  end
end
