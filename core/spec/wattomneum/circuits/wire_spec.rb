# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Wire do
  def wire(**fields) = described_class.new(number: '1', uuid: 'u', from: 'A:1', to: 'B:1', **fields)

  # ISO 6722-1, 2.5 mm2: 7.60 mohm/m; ASTM B258, 10 AWG: 3.277 mohm/m; both from memory.
  it 'has the resistance of its size and length, by section or by gauge' do
    expect(wire(section_mm2: 2.5, length_m: 4.0).resistance_ohm).to be_within(1e-9).of(0.0304)
    expect(wire(gauge_awg: '10', length_m: 10.0).resistance_ohm).to be_within(0.1).percent_of(0.03277)
  end

  it 'takes a resistance that is given before all else, and 1 m of 1.5 mm2 where nothing is known' do
    expect(wire(section_mm2: 2.5, length_m: 4.0, ohm: 0.5).resistance_ohm).to eq(0.5)
    expect(wire.resistance_ohm).to eq(described_class::UNKNOWN_OHM)
    expect(described_class::UNKNOWN_OHM).to eq(Wattomneum::Wiring::Conductor.metric_ohm_per_m(section_mm2: 1.5))
  end

  it 'says its size as people do' do
    expect([wire(section_mm2: 2.5).size, wire(section_mm2: 70.0).size, wire(gauge_awg: '1/0').size,
            wire.size]).to eq(['2.5 mm2', '70 mm2', '1/0 AWG', nil])
  end

  it 'changes into another wire and stays what it was' do
    one = wire(length_m: 1.0)
    expect([one.with(length_m: 2.0).length_m, one.length_m]).to eq([2.0, 1.0])
    expect(one).to be_frozen
  end
end
