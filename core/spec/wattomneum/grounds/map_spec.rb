# frozen_string_literal: true

# Read off the shipped drawings by hand: what stands on which metal, and what returns through it.
RSpec.describe Wattomneum::Grounds::Map do
  def map(key) = described_class.new(Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key)))
  def place(map, key) = map.places.find { |one| one.key == key }

  let(:truck) { map('grounds_truck') }

  it 'has every ground point and strap, the battery ground first' do
    expect(truck.places.map(&:key)).to contain_exactly('G0', 'G1', 'G2', 'G3', 'G4', 'wire strap_block', 'wire strap_cab', 'wire strap_body')
    expect([truck.places.first.key, truck.places.first.hangs]).to eq(['G0', ['The whole unit']])
  end

  it 'says what returns through a point, over a splice too, and how thick its wire is' do
    expect([place(truck, 'G3').hangs, place(truck, 'G3').wire_size]).to eq([['Rear lamps left', 'Rear lamps right'], '2.5 mm2'])
    expect(place(truck, 'G1').hangs).to eq(['Cab blower', 'Dash and gauges'])
  end

  it 'says what hangs on a strap, and between which metals it is read' do
    strap = place(truck, 'wire strap_cab')
    expect(strap).to have_attributes(label: 'Strap, Cab to frame', from: 'CAB:metal', to: 'FRAME:metal', wire_size: '25 mm2',
                                     hangs: ['Cab ground on the cab floor'])
  end

  it 'takes the face of starter and alternator for a ground, and no thread of a plug' do
    start = map('start_12v')
    expect(place(start, 'wire bolts')).to have_attributes(kind: 'mount', label: 'Mounting face, Starter to engine block', hangs: ['Starter'])
    expect(map('glow').places.map(&:key)).not_to include(include('thread'))
  end

  it 'lies farther out the more joints there are to the battery' do
    steps = truck.places.to_h { |one| [one.key, one.steps] }
    expect(steps['G0']).to be < steps['wire strap_cab']
    expect(steps['wire strap_cab']).to be < steps['G1']
  end

  it 'walks zone by zone, from the battery outwards, and each place once' do
    places = map('start_12v').places
    round = Wattomneum::Grounds::Round.new(places)
    zones = round.order.map { |one| one.zone || one.to }
    expect(zones.chunk_while { |one, other| one == other }.to_a.size).to eq(zones.uniq.size)
    expect([round.order.size, round.order.first]).to eq([places.size, places.first])
    expect(round.minutes).to eq(places.sum(&:minutes) + (2 * zones.uniq.size))
  end

  it 'is empty for a circuit without a ground' do
    expect(map('magneto_kill').places.map(&:kind)).to all(eq('ground').or(eq('strap')))
  end

  # By hand: the rail on which the battery ground stands first, then what is strapped to it, then what stands on that.
  it 'goes outwards over metal, straps and points' do
    expect(truck.places.map(&:key)).to eq(['G0', 'G3', 'wire strap_block', 'wire strap_body', 'wire strap_cab', 'G1', 'G2', 'G4'])
  end
end
