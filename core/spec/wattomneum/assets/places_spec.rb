# frozen_string_literal: true

RSpec.describe Wattomneum::Assets::Places do
  def places(system, sheet = nil) = described_class.new(system, sheet).all

  it 'knows starter, alternator, and the relays of the circuit, the solenoid apart, which goes with its starter' do
    sheet = Wattomneum::Circuits::Library.fetch('start_24v')
    found = places(parallel_pair, sheet)
    expect(found.map(&:kind).tally).to include('starter' => 1, 'alternator' => 1)
    relays = found.select { |place| place.kind == 'relay' }
    expect(relays.map(&:label)).to include('K1 Start relay')
    expect(relays.map(&:label).join(' ')).not_to include('solenoid')
    expect(relays.map(&:key)).to eq(relays.map(&:key).uniq)
  end

  it 'gives a unit without them none' do
    lone = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
    expect(places(lone)).to eq([])
  end

  it 'knows what the plate of each kind may say' do
    kinds = Wattomneum::Assets::Kinds
    expect([kinds.fetch('alternator').check(130.0), kinds.fetch('alternator').spoken(130.0),
            kinds.fetch('starter').check(nil)]).to eq([130.0, '130 A', nil])
    expect { kinds.fetch('alternator').check(5000.0) }.to raise_error(Wattomneum::InvalidQuantityError, /10 to 600 A, got 5000/)
    expect { kinds.fetch('wheel') }.to raise_error(Wattomneum::UnknownKeyError)
    expect(kinds::ALL.flat_map(&:tests).map { |key| Wattomneum::Readings::Catalogue.fetch(key).key }).to eq(kinds::ALL.flat_map(&:tests))
    expect(kinds::ALL.flat_map(&:cautions) - Wattomneum::Safety::Cautions::BY_ID.keys).to eq([])
  end

  it 'finds a place by its key, and none by another' do
    all = described_class.new(parallel_pair, nil)
    expect([all.find('alternator').label, all.find('starter').label, all.find('wheel')]).to eq(['Alternator', 'Starter', nil])
  end
end
