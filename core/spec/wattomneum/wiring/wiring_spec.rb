# frozen_string_literal: true

RSpec.describe Wattomneum::Wiring do
  describe Wattomneum::Wiring::Conductor do
    # ASTM B258 at 20 degC in ohm per km; figures from memory.
    { '10' => 3.277, '4' => 0.8152, '1/0' => 0.3224, '4/0' => 0.1608 }.each do |gauge, ohm_per_km|
      it "gives #{gauge} AWG #{ohm_per_km} ohm/km" do
        expect(described_class.awg_ohm_per_m(gauge: gauge) * 1000).to be_within(0.1).percent_of(ohm_per_km)
      end
    end

    # ASTM B258: 36 AWG is 0.127 mm and 4/0 is 11.684 mm by definition.
    it 'gives the two diameters that define the gauge' do
      expect(described_class.awg_diameter_mm(gauge: 36)).to eq(0.127)
      expect(described_class.awg_diameter_mm(gauge: '4/0')).to be_within(0.001).of(11.684)
    end

    # ISO 6722-1, largest resistance at 20 degC in mohm/m, from memory.
    { 0.5 => 37.1, 1.5 => 12.7, 2.5 => 7.60, 6 => 3.14, 35 => 0.527, 120 => 0.153 }.each do |section, milliohm|
      it "gives #{section} mm2 #{milliohm} mohm/m" do
        expect(described_class.metric_ohm_per_m(section_mm2: section.to_f) * 1000).to be_within(1e-9).of(milliohm)
      end
    end

    it 'never lists a cable better than its copper would be (IACS, 1/58 ohm mm2 per m)' do
      described_class::TABLES['metric_milliohm_per_m']['rows'].each do |size, milliohm|
        expect(milliohm / 1000.0).to be >= described_class::OHM_MM2_PER_M / size
      end
    end

    # IEC 60028: 0.00393 per K at 20 degC.
    it 'rises by 23.58 % from 20 to 80 degC' do
      expect(described_class.at_temperature(ohm_at_20: 1.0, celsius: 80.0)).to be_within(1e-9).of(1.2358)
    end

    it 'refuses gauges nobody makes and sections of nothing' do
      ['5/0', '-3', 'thick', '41'].each { |gauge| expect { described_class.awg_number(gauge) }.to raise_error(Wattomneum::OutOfTableRangeError) }
      expect { described_class.metric_ohm_per_m(section_mm2: 0.0) }.to raise_error(Wattomneum::InvalidQuantityError)
    end
  end

  describe Wattomneum::Wiring::Ampacity do
    # Handbook table at 30 degC, 70 degC PVC, from memory.
    it 'carries 32 A on 2.5 mm2, less when hot or bundled, none where it is as hot as it stands' do
      carry = ->(**rest) { described_class.continuous_ampere(section_mm2: 2.5, **rest) }
      expect([carry.call, carry.call(bundled: 3), carry.call(ambient_celsius: 60.0)]).to eq([32.0, 25.6, 16.0])
      expect(carry.call(ambient_celsius: 75.0)).to eq(0.0)
    end

    it 'refuses a section outside its table' do
      expect { described_class.continuous_ampere(section_mm2: 0.35) }.to raise_error(Wattomneum::OutOfTableRangeError)
    end
  end

  describe Wattomneum::Wiring::CableSizing do
    it 'takes the larger of what drop and heat ask for, and shows the next size up' do
      result = described_class.new(ampere: 10.0, one_way_m: 5.0, most_drop_volt: 0.36).call
      expect(result).to have_attributes(section_mm2: 6.0, by_drop_mm2: 6.0, by_heat_mm2: 1.0, next_mm2: 10.0)
      expect(result.drop_volt).to be_within(1e-9).of(10 * 2 * 5 * 0.00314)
    end

    it 'sizes a starter cable by drop alone, since it is over in seconds' do
      starter = { ampere: 600.0, one_way_m: 2.0, most_drop_volt: 0.5 }
      expect([described_class.new(**starter).call.by_heat_mm2, described_class.new(**starter, seconds: 10.0).call.by_heat_mm2]).to eq([nil, 1.0])
    end

    it 'says so where no size fits' do
      expect(described_class.new(ampere: 900.0, one_way_m: 20.0, most_drop_volt: 0.2).call)
        .to have_attributes(section_mm2: nil, working: [include('no size up to 120 mm2')])
    end

    it 'refuses nothing for current, length or drop' do
      expect { described_class.new(ampere: 0.0, one_way_m: 1.0, most_drop_volt: 0.1) }.to raise_error(Wattomneum::InvalidQuantityError, /ampere/)
    end
  end

  describe Wattomneum::Wiring::FuseSizing do
    it 'lies between load over 0.8 and what the wire carries, with the colour of ISO 8820 (from memory)' do
      expect(described_class.call(load_ampere: 10.0, wire_ampere: 32.0)).to have_attributes(rating_ampere: 15.0, colour: 'blue')
      expect(described_class.call(load_ampere: 14.0, wire_ampere: 16.0).rating_ampere).to be_nil
    end

    # Common practice: 10 AWG is guarded by a 14 AWG link, about 0.4 of its area.
    it 'guards 10 AWG with 14 and about 0.4 of the area' do
      expect(described_class.link_gauge(gauge: 10)).to eq(14)
      share = Wattomneum::Wiring::Conductor.awg_section_mm2(gauge: 14) / Wattomneum::Wiring::Conductor.awg_section_mm2(gauge: 10)
      expect(share).to be_within(0.01).of(described_class::LINK_AREA_RATIO)
    end

    it('refuses a load of nothing') { expect { described_class.call(load_ampere: 0.0, wire_ampere: 10.0) }.to raise_error(Wattomneum::InvalidQuantityError) }
  end

  describe Wattomneum::Wiring::Resistances do
    it 'adds in series and by conductance in parallel' do
      expect([described_class.series([1.0, 2.0]), described_class.parallel([120.0, 120.0])]).to eq([3.0, 60.0])
      [[], [0.0]].each { |odd| expect { described_class.parallel(odd) }.to raise_error(Wattomneum::InvalidQuantityError) }
    end

    # Common practice: a 21 W lamp is about 7 ohm hot at 12 V, 27 ohm at 24 V, a tenth of that cold.
    it 'makes a 21 W lamp about 7 ohm hot on 12 V and 27 on 24 V' do
      expect([12.0, 24.0].map { |volt| described_class.lamp_ohm(volt: volt, watt: 21.0).first.round }).to eq([7, 27])
      expect { described_class.lamp_ohm(volt: 12.0, watt: 0.0) }.to raise_error(Wattomneum::InvalidQuantityError)
    end

    it 'knows that an ohmmeter cannot see what stops a starter, and can see a signal wire' do
      expect(described_class.ohmmeter_fit(limit_volt: 0.3, working_ampere: 600.0)).to eq([0.0005, false])
      expect(described_class.ohmmeter_fit(limit_volt: 0.4, working_ampere: 0.1).last).to be(true)
    end

    # Handbook, from memory: a copper strand of 0.2 mm melts near 7 A.
    it 'melts a strand of 0.2 mm near 7 A' do
      expect(described_class.strand_melts_ampere(diameter_mm: 0.2)).to be_within(0.3).of(7)
      expect(described_class.strands_exposed(load_ampere: 21.5, diameter_mm: 0.2)).to be_within(0.1).of(3)
    end
  end

  it 'reads terminal numbers of DIN 72552 (from memory)' do
    expect(Wattomneum::Wiring::TerminalNumbers.meaning('50')).to eq('start signal')
    expect { Wattomneum::Wiring::TerminalNumbers.meaning('99') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
