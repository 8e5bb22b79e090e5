# frozen_string_literal: true

# Two parts and a wire between them that leaves the first page and comes in on the second.
RSpec.describe Server::Book::Page do
  let(:cut) { [{ 'top' => 0, 'bottom' => 200, 'above' => 0, 'below' => 90 }, { 'top' => 200, 'bottom' => 400, 'above' => 90, 'below' => 0 }] }
  let(:picture) do
    parts = [['F1', 10, 'F1:2', 50], ['K1', 300, 'K1:30', 300]].map do |id, top, pin, y|
      { 'id' => id, 'part' => id, 'uuid' => id, 'zone' => 'box', 'kind' => 'fuse', 'x' => 20, 'y' => top, 'width' => 40, 'height' => 40,
        'shapes' => [], 'words' => [], 'label' => { 'x' => 70, 'y' => top, 'width' => 30, 'height' => 14, 'lines' => [id] }, 'pins' => [],
        'ports' => [{ 'id' => pin, 'pin' => pin, 'wire' => 'w', 'side' => 'top', 'x' => 40, 'y' => y, 'up' => nil, 'down' => nil }] }
    end
    { 'zone' => nil, 'label' => nil, 'width' => 200, 'height' => 400, 'parts' => parts, 'faults' => [],
      'zones' => [{ 'key' => 'box', 'label' => 'Box', 'x' => 10, 'y' => 0, 'width' => 100, 'height' => 60, 'label_at' => [12, 12] }],
      'wires' => [{ 'wire' => 'w', 'number' => '12', 'colour' => 'red', 'thick' => false,
                    'points' => [[40, 50], [40, 120], [90, 120], [90, 260], [40, 260], [40, 300]],
                    'label' => { 'x' => 95, 'y' => 210, 'width' => 40, 'height' => 13, 'lines' => ['12 red'], 'turned' => false } }],
      'cuts' => { 'a4' => { 'scale' => 0.24, 'pages' => cut } } }
  end
  let(:pages) { described_class.of(picture, 'a4') }

  it 'cuts the wire where the page ends, and goes on there on the next one' do
    expect(pages.map { |page| page.picture['wires'].map { |wire| wire['points'] } })
      .to eq([[[[40, 50], [40, 120], [90, 120], [90, 200]]], [[[90, 200], [90, 260], [40, 260], [40, 300]]]])
    expect(pages.map { |page| page.picture['parts'].map { |part| part['id'] } }).to eq([['F1'], ['K1']])
    expect(pages.map { |page| page.picture['wires'].map { |wire| wire['label'].nil? } }).to eq([[true], [false]])
  end

  it 'says at each cut end on which page and at which pin the wire goes on' do
    expect(pages.map { |page| page.flags.map { |flag| [flag.x, flag.at, flag.words] } })
      .to eq([[[90, :bottom, '12  red  K1:30  p. 2']], [[90, :top, '12  red  F1:2  p. 1']]])
    expect(described_class.through([picture, picture], 'a4', first: 7).map { |page| page.flags.map { |flag| flag.words[/p\..*/] } })
      .to eq([['p. 8'], ['p. 7'], ['p. 10'], ['p. 9']])
  end

  it 'leaves out a zone of which nothing stands on the page' do
    expect(pages.map { |page| page.picture['zones'].size }).to eq([1, 0])
  end

  it 'leaves a picture that fits on one page as it is' do
    whole = picture.merge('cuts' => { 'a4' => { 'scale' => 0.24, 'pages' => [{ 'top' => 0, 'bottom' => 400, 'above' => 0, 'below' => 0 }] } })
    page = described_class.of(whole, 'a4').first
    expect([page.picture, page.flags]).to eq([whole, []])
  end

  it 'has no words of a wire on another wire, in any sheet that ships' do
    faults = Wattomneum::Circuits::Library.keys.to_h { |key| [key, Drawn.pictures(key).flat_map { |one| one['faults'].map { |fault| fault['what'] } }] }
    expect(faults.values.flatten.uniq).to eq(['number only'])
    expect(faults.values.flatten.size).to be <= 6
  end

  # Of every sheet that ships: as many flags below a page as above the next one, each of them with a pin.
  Wattomneum::Circuits::Library.keys.each do |key| # rubocop:disable Style/HashEachMethods -- no hash
    it "leads every cut wire of #{key} on to where it comes from" do
      %w[a4 a3].each do |paper|
        pages = described_class.of(Drawn.pictures(key).first, paper)
        ends = pages.map { |page| page.flags.group_by(&:at) }
        ends.each_cons(2) do |before, after|
          expect(before.fetch(:bottom, []).map { |flag| [flag.x, flag.number] }.sort).to eq(after.fetch(:top, []).map { |flag|
            [flag.x, flag.number]
          }.sort)
        end
        expect(pages.flat_map(&:flags).map(&:pin)).to all(be_a(String))
      end
    end
  end
end
