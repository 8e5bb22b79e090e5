# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Drawing::Pieces do
  # Fuses and lamps in a row off one stud a zone: four wire ends a lamp and its fuse, one at the stud.
  def lamps(count, zones:)
    names = Array.new(zones) { |zone| "z#{zone}" }
    parts = ['{ id: BAT, kind: battery, volt: 12 }', '{ id: FRAME, kind: body }']
    wires = ['{ number: minus, from: BAT:-, to: FRAME }']
    names.each_with_index do |zone, index|
      parts << "{ id: ST#{index}, kind: stud, zone: #{zone} }"
      wires << "{ number: feed#{index}, from: #{index.zero? ? 'BAT:+' : "ST#{index - 1}"}, to: ST#{index} }"
      count.times do |lamp|
        id = "#{index}_#{lamp}"
        parts << "{ id: F#{id}, kind: fuse, rating_ampere: 5, zone: #{zone} }" << "{ id: H#{id}, kind: load, watt: 5, zone: #{zone} }"
        wires.push("{ number: a#{id}, from: ST#{index}, to: F#{id}:1 }", "{ number: b#{id}, from: F#{id}:2, to: H#{id}:1 }",
                   "{ number: c#{id}, from: H#{id}:2, to: FRAME }")
      end
    end
    labels = names.map { |name| "#{name}: { label: Zone #{name} }" }
    sheet_of(parts, wires, extra: "zones: { #{labels.join(', ')} }")
  end

  def pictures(sheet) = Wattomneum::Circuits::Drawing::Brief.new(sheet).to_h[:pieces]

  it 'leaves a sheet that can be read in one picture whole, up to its bound' do
    whole = described_class.of(lamps(32, zones: 2))
    expect([whole.size, whole.first.whole?, whole.first.label]).to eq([1, true, nil])
    expect(Wattomneum::Circuits::Library.keys.map { |key| described_class.of(Wattomneum::Circuits::Library.fetch(key)).size }.uniq).to eq([1])
  end

  it 'draws a larger one zone by zone, what lies in none by itself, every part in one piece' do
    sheet = lamps(20, zones: 4)
    pieces = described_class.of(sheet)
    expect(pieces.map(&:label)).to eq(['In no zone', 'Zone z0', 'Zone z1', 'Zone z2', 'Zone z3'])
    expect(pieces.flat_map(&:parts).sort).to eq(sheet.parts.map(&:id).sort)
  end

  # By hand: 72 wires end on the stud, two on each fuse and lamp: 72 + 32 * 4 = 200 in the first piece, 38 * 4 = 152 in the second.
  it 'parts a zone that is too large itself, and says which piece of how many each is' do
    pieces = described_class.of(lamps(70, zones: 1))
    expect(pieces.map(&:label)).to eq(['In no zone', 'Zone z0 (1 of 2)', 'Zone z0 (2 of 2)'])
    expect(pieces.drop(1).map { |piece| piece.parts.size }).to eq([65, 76])
  end

  it 'shows every wire, those between two zones in both, each time with a flag that names the far pin' do
    sheet = lamps(20, zones: 4)
    ends = pictures(sheet).map { |picture| picture[:edges].map { |edge| sheet.wires.find { |wire| wire.uuid == edge[:wire] }.number } }
    expect(ends.flatten.uniq.sort).to eq(sheet.wires.map(&:number).sort)
    # minus and the feed of the first zone leave what is in no zone; every lamp's wire to the frame gets the sign of the frame, which lies there.
    expect(ends.flatten.tally.select { |_, count| count > 1 }.keys).to include('feed0', 'feed1', 'feed2', 'feed3')
    flags = pictures(sheet)[2][:nodes].select { |node| node[:kind] == 'link' }
    expect(flags.map do |node|
      [node[:title], node[:at], node[:part]]
    end).to include(['ST0, Zone z0', 'ST0:joint', nil], ['ST2, Zone z2', 'ST2:joint', nil])
  end

  it 'keeps the same sides in a piece as on the whole sheet' do
    sheet = lamps(20, zones: 4)
    graph = Wattomneum::Circuits::Drawing::Graph.new(sheet)
    whole = graph.nodes.flat_map(&:ports).to_h { |port| [[port.pin, port.wire_uuid], port.side.to_s] }
    parted = pictures(sheet).flat_map { |picture| picture[:nodes].select { |node| node[:part] }.flat_map { |node| node[:ports] } }
    expect(parted.reject { |port| whole.fetch([port[:pin], port[:wire]]) == port[:side] }).to be_empty
  end
end
