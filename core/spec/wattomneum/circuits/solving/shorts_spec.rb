# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Solving::Shorts do
  it 'names a supply shorted with no fuse in the way' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.005 }'], ['{ number: 7, from: BAT:+, to: BAT:-, ohm: 0.001 }'])
    expect(described_class.find(settled(sheet)).first.to_s).to include('BAT gives', 'wire 7', 'no fuse is in the way')
  end

  # By hand: 12 V over 5 m of 2.5 mm2 (38 mohm) with the battery's 5 and a chafe of 20 mohm gives 190 A, six times its 32 A: far under
  # what the battery gives into a dead short, and it burns all the same.
  it 'names a wire that carries what no wire of its size may, though the battery hardly notices' do
    rows = ['{ id: BAT, kind: battery, volt: 12, ohm: 0.005 }', '{ id: F, kind: fuse, rating_ampere: 20 }']
    chafed = '{ number: 8, from: BAT:+, to: BAT:-, mm2: 2.5, length_m: 5, ohm: 0.058 }'
    expect(described_class.find(settled(sheet_of(rows, [chafed]))).first.to_s).to include('190 A', 'wire 8')
    fused = ['{ number: 7, from: BAT:+, to: F:1, ohm: 0.001 }', chafed.sub('BAT:+', 'F:2')]
    expect(described_class.find(settled(sheet_of(rows, fused)))).to be_empty
  end
end
