# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::ConnectorFace do
  # Held in the hand: what is left as one looks into a plug is right as one looks at its wires; and the half that goes into it is its mirror image.
  it 'is mirrored from one side to the other, and from one half to the other' do
    face = described_class.new(rows: [%w[1 2 3], %w[4 . 5]], view: 'wire', half: 'a')
    seen = { %w[a wire] => [%w[1 2 3], %w[4 . 5]], %w[a mating] => [%w[3 2 1], %w[5 . 4]], %w[b mating] => [%w[1 2 3], %w[4 . 5]],
             %w[b wire] => [%w[3 2 1], %w[5 . 4]] }
    expect(seen.keys.to_h { |half, view| [[half, view], face.rows(half: half, view: view)] }).to eq(seen)
  end

  describe 'as a sheet says it' do
    def read(face) = Wattomneum::Circuits::Notation::SheetReader.read(<<~YAML)
      sheet: plugs
      title: Plugs
      system_volt: 24
      components:
        - { id: BAT, kind: battery, volt: 24 }
        - { id: X1, kind: connector, ways: 3#{face} }
        - { id: L1, kind: load, ohm: 10 }
      wires:
        - { number: "1", from: "BAT:+", to: X1:a/1 }
        - { number: "2", from: X1:b/1, to: L1:1 }
        - { number: "3", from: L1:2, to: "BAT:-" }
    YAML

    it 'is read with the side from which it is seen, and none where the sheet says nothing' do
      face = read(', face: ["1 2", "3 ."], face_view: mating').sheet.part('X1').face
      expect([face.rows(half: 'a', view: 'mating'), read('').sheet.part('X1').face]).to eq([[%w[1 2], %w[3 .]], nil])
    end

    it 'is refused without its side, with a way twice, one that is left out, or one that there is not' do
      { ', face: ["1 2 3"]' => 'connector X1 has a face, but not from which side', ', face: ["1 2", "2 3"], face_view: wire' => 'way 2 2 times',
        ', face: ["1 2"], face_view: wire' => 'way 3 0 times', ', face: ["1 2 3 4"], face_view: wire' => 'no way 4' }.each do |written, said|
        expect(read(written).problems.map(&:message)).to include(include(said)), written
      end
    end
  end
end
