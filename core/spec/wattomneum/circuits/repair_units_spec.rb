# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::RepairUnits do
  def units(key) = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key)).repair_units

  it 'mends solenoid, motor and the link between them as one starter, that needs evidence of its own' do
    starter = units('start_24v').fetch('starter')
    expect([starter.item_uuids.size, starter.laddered]).to eq([3, true])
    expect(units('start_24v').all.map(&:key)).to not_include('M1').and not_include('K2')
  end

  it 'has every joint as a thing of its own: the clamp on the post, the lug on the stud, the ring and the face of a ground' do
    expect(units('start_24v').all.map(&:key))
      .to include('clamp of wire 5 on BAT_A', 'lug of wire 4 on K2', 'ring of wire 5 on G2', 'G2', 'X1 pin 1', 'wire 4')
  end

  it 'takes an exposed ground for likelier than a wire in the dry' do
    pump = units('fuel_pump')
    expect(pump.rate(pump.fetch('G9'))).to be > 3 * pump.rate(pump.fetch('wire 8'))
  end
end
