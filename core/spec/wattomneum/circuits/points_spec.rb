# frozen_string_literal: true

# Where a probe can go.
RSpec.describe Wattomneum::Circuits::Points do
  let(:machine) { Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch('fuel_pump')) }
  let(:points) { machine.points }

  it 'reaches pins, halves of plugs, posts, studs, metal, and the ring or clamp of every single wire' do
    nodes = points.all.map(&:node)
    expect(nodes).to include('K11:85', 'X8:a/1', 'X8:b/1', 'BAT:+', 'G8:joint', 'CAB:metal', 'G8:8', 'BAT:+ clamp 1', 'S1:1 lug 1')
    expect(nodes.uniq.size).to eq(nodes.size)
  end

  it 'is named as people name it: by an alias, by a stud alone' do
    expect(points.named('K11:5').node).to eq('K11:87')
    expect(points.named('G8').node).to eq('G8:joint')
    expect(points.named('G8:8').label).to eq('Ring of wire 8 on G8, Relay coil ground under the fuse box')
    expect { points.named('K11:99') }.to raise_error(Wattomneum::UnknownKeyError, /choose one of its pins/)
  end

  it 'is the same for ever, whatever the wire is renumbered to' do
    ring = points.at('G8:8')
    text = Wattomneum::Circuits::Notation::SheetWriter.write(machine.sheet).sub(/number: ['"]8['"]/, 'number: "808"')
    renumbered = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Notation::SheetReader.read(text).sheet)
    expect(renumbered.points.kept(ring.item_uuid, ring.pin).node).to eq('G8:808')
    expect(renumbered.points.kept(SecureRandom.uuid, '1')).to be_nil
  end
end
