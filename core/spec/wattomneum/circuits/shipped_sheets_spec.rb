# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Library do
  described_class::TEXTS.each_key do |key|
    describe key do
      let(:sheet) { described_class.fetch(key) }
      let(:machine) { settled(sheet) }

      # Reference: ngspice operating points, see SheetNetlist.
      it 'agrees with ngspice within 1e-6 or 1 microvolt in every settled state' do
        machine.all.each { |state, result| expect_agreement_with_ngspice(machine.circuit, result, state) }
      end

      it 'makes every load work in the states that the sheet says, and in no other' do
        workings = Wattomneum::Circuits::Questions::Workings.new(machine)
        sheet.parts.grep(Wattomneum::Circuits::Parts::Load).select(&:works_in).each do |load|
          watch = load.watches.first
          expect(sheet.states.keys.select { |state| workings.works?(watch, state) }).to match_array(load.works_in), load.id
        end
      end

      it 'settles without chatter, blown fuses, shorts or relays near their threshold' do
        results = machine.all.values
        expect(results.flat_map(&:chattering)).to be_empty
        expect(results.map(&:blown)).to all(be_empty)
        expect(results.flat_map(&:uncertain)).to be_empty
        expect(Wattomneum::Circuits::Solving::Shorts.find(machine)).to be_empty
      end

      it 'reads the same again after it was written, as YAML and with its wires as CSV' do
        again = Wattomneum::Circuits::Notation::SheetReader.read(Wattomneum::Circuits::Notation::SheetWriter.write(sheet))
        expect(again.problems).to be_empty
        expect(Wattomneum::Circuits::Notation::SheetWriter.write(again.sheet)).to eq(Wattomneum::Circuits::Notation::SheetWriter.write(sheet))
        by_csv = Wattomneum::Circuits::Notation::SheetReader.read(described_class::TEXTS[key], wires_csv: Wattomneum::Circuits::Notation::WireList.write(sheet.wires))
        expect(by_csv.sheet.wires.map { |wire| [wire.uuid, wire.from, wire.resistance_ohm] })
          .to eq(sheet.wires.map { |wire| [wire.uuid, wire.from, wire.resistance_ohm] })
      end
    end
  end

  it 'ships every circuit the trade asks for, the large ones with 40 pins and more' do
    expect(described_class.keys).to include('start_12v', 'start_24v', 'charge_12v', 'charge_external_24v', 'grounds_truck', 'grounds_bus', 'glow',
                                            'ecu_power', 'fuel_pump', 'engine_stop', 'heater', 'magneto_kill', 'battery_ignition', 'genset',
                                            'bus_backbone', 'cluster')
    pins = described_class.keys.to_h { |key| [key, described_class.fetch(key).parts.sum { |part| part.pins.size }] }
    expect(pins.count { |_, count| count >= 40 }).to be >= 8
  end

  # Common practice: 60 ohm between the lines of a healthy bus; 30 modules of 40 kohm alone bring it down to 57.
  it 'reads about 60 ohm across the bus backbone, 120 ohm with one terminator out, and OL to ground with nothing there' do
    machine = settled(described_class.fetch('bus_backbone'))
    ohms = ->(from, to, on = machine) { Wattomneum::Circuits::Questions::Instruments.new(on).ohms(from, to, key_state: 'off') }
    expect(ohms.call('X20:b/C', 'X20:b/D').ohm).to be_within(0.5).of(60)
    without = machine.opening(machine.circuit.item('R2'))
    expect(ohms.call('X20:b/C', 'X20:b/D', without).ohm).to be_within(1).of(119.3)
    expect(ohms.call('X20:b/E', 'X20:b/A').over_range).to be(true)
  end

  it 'refuses a sheet that does not ship' do
    expect { described_class.fetch('tea_urn') }.to raise_error(Wattomneum::UnknownKeyError, /no sheet tea_urn/)
  end
end
