# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::SeriesResistance do
  # Common practice, follows from Ohm's law: a 12 V supply behind 1.5 Mohm shows about 10.4 V on a 10 Mohm meter and falls to
  # nothing when a test lamp is put on it.
  it 'shows 10.4 V of 12 V through 1.5 Mohm on a 10 Mohm meter' do
    shown = described_class.volts_at_load(supply_volt: 12.0, series_ohm: 1.5e6, load_ohm: 1e7)
    expect(shown).to be_within(0.05).of(10.4)
  end

  it 'falls to nothing under a 7 ohm lamp' do
    expect(described_class.volts_at_load(supply_volt: 12.0, series_ohm: 1.5e6, load_ohm: 7.0)).to be < 0.001
  end

  it 'finds the resistance back from what the meter shows: 12.0 V, 10.0 V, 10 Mohm are 2.0 Mohm' do
    expect(described_class.behind_meter(supply_volt: 12.0, shown_volt: 10.0)).to be_within(1).of(2e6)
  end

  it 'is the inverse of the divider for any resistance' do
    [1.0, 470.0, 1e5, 4.7e6].each do |ohm|
      shown = described_class.volts_at_load(supply_volt: 24.6, series_ohm: ohm, load_ohm: 1e7)
      expect(described_class.behind_meter(supply_volt: 24.6, shown_volt: shown)).to be_within(0.001).percent_of(ohm)
    end
  end

  it 'refuses a reading of nothing and one above the supply' do
    [0.0, 12.1].each do |shown|
      expect { described_class.behind_meter(supply_volt: 12.0, shown_volt: shown) }.to raise_error(Wattomneum::InvalidQuantityError)
    end
  end

  it 'agrees with ngspice on the divider' do
    point = ngspice(['v1 a 0 12', 'r1 a b 1.5meg', 'r2 b 0 10meg'], ['v(b)'])
    expect(described_class.volts_at_load(supply_volt: 12.0, series_ohm: 1.5e6, load_ohm: 1e7)).to be_within(1e-6).of(point['v(b)'])
  end
end
