# frozen_string_literal: true

require_relative '../../support/ngspice'

# Outside check: the dash as a netlist, solved by ngspice (Debian package).
RSpec.describe Wattomneum::Gauges::Needles do
  include Ngspice

  let(:curve) { Wattomneum::Gauges::Curve.family('240-33') }

  def gauge(label, coil, sender, ground = 0.0)
    described_class::Gauge.new(label: label, coil_ohm: coil, sender_ohm: sender, curve: curve, ground_ohm: ground)
  end

  def by_ngspice(gauges, volt, shared)
    cards = ["V1 s 0 #{volt}", "Rg g 0 #{[shared, 1e-9].max}"]
    gauges.each_with_index do |one, at|
      cards << "Vm#{at} s a#{at} 0" << "Rc#{at} a#{at} b#{at} #{one.coil_ohm}" << "Rs#{at} b#{at} g #{one.sender_ohm + one.ground_ohm}"
    end
    found = ngspice(cards, gauges.each_index.map { |at| "i(vm#{at})" })
    gauges.each_index.map { |at| found.fetch("i(vm#{at})") }
  end

  [[10.0, 0.0], [10.0, 4.0], [12.6, 0.0], [8.0, 12.0], [5.0, 1.5]].each do |volt, shared|
    it "has the currents of ngspice at #{volt} V with #{shared} ohm in the ground they share" do
      gauges = [gauge('coolant', 70.0, 120.0), gauge('oil', 90.0, 60.0, 5.0), gauge('fuel', 70.0, 200.0)]
      found = described_class.new(supply_volt: 10.0, actual_volt: volt, gauges: gauges, shared_ground_ohm: shared).call
      found.zip(by_ngspice(gauges, volt, shared)).each { |one, ampere| expect(one.ampere).to be_within(1e-7).of(ampere) }
    end
  end

  it 'shows what is true with nothing wrong' do
    shown = described_class.new(supply_volt: 10.0, gauges: [gauge('fuel', 70.0, 103.0)]).call.first
    expect(shown.shown).to be_within(1e-9).of(shown.true_mark)
  end

  # More volts, more current, as from a sender of fewer ohms: on a gauge that falls with what it measures, every needle goes up.
  it 'moves all needles one way with the supply, and one alone with its thread' do
    gauges = [gauge('coolant', 70.0, 120.0), gauge('fuel', 70.0, 180.0)]
    high = described_class.new(supply_volt: 10.0, actual_volt: 12.0, gauges: gauges).call
    expect(high).to all(satisfy { |one| one.shown > one.true_mark })
    sealed = described_class.new(supply_volt: 10.0, gauges: [gauge('coolant', 70.0, 120.0, 40.0), gauges.last]).call
    expect(sealed.first.shown).to be < sealed.first.true_mark
    expect(sealed.last.shown).to be_within(1e-9).of(sealed.last.true_mark)
  end

  it 'wants a supply and coils' do
    expect { described_class.new(supply_volt: 0.0, gauges: []) }.to raise_error(Wattomneum::InvalidQuantityError)
    expect do
      described_class.new(supply_volt: 10.0, gauges: [gauge('oil', 0.0, 10.0)])
    end.to raise_error(Wattomneum::InvalidQuantityError, /Coil of oil/)
  end
end
