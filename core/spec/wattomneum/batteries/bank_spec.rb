# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::Bank do
  # By hand: 0.6 x (12.65 - 7.2) / 800 / 1.55 = 2.64 mohm each at 27 degC; halved in parallel, doubled in series; 1 / 1.55 of that less at -18.
  it 'believes no bank under 0.6 of what its ratings say, and takes 2 mohm for a battery without one' do
    expect(described_class.least_ohm(parallel_pair)).to be_within(1e-6).of(0.001319)
    expect(described_class.least_ohm(series_pair)).to be_within(1e-6).of(0.005274)
    expect(described_class.least_ohm(parallel_pair, temperature_celsius: -18.0)).to be_within(1e-6).of(0.002044)
    expect(described_class.least_ohm(series_pair(batteries: {}))).to be_within(1e-9).of(0.004)
  end

  def source(volt, milliohm) = described_class::Source.new(rest_volt: volt, resistance_ohm: milliohm / 1000.0)

  # ngspice: each battery a source behind a resistor, the starter a current sink.
  [[[12.7, 5.0], [12.1, 9.0]], [[12.6, 4.2], [12.65, 4.0], [11.9, 14.0]], [[12.5, 6], [12.5, 6], [12.5, 6], [12.0, 20]]].each do |bank|
    [0.0, 240.0, 780.0].each do |load|
      it "shares #{load} A among #{bank.size} unequal batteries as ngspice does" do
        cards = bank.each_with_index.flat_map { |(volt, milliohm), i| ["v#{i} n#{i} 0 #{volt}", "r#{i} n#{i} bus #{milliohm}m"] }
        reference = ngspice([*cards, "iload bus 0 #{load}"], ['v(bus)', *bank.each_index.map { |i| "i(v#{i})" }])
        result = described_class.parallel(bank.map { |volt, milliohm| source(volt, milliohm) }, load_ampere: load)
        expect(result.volt).to be_within(1e-6).of(reference['v(bus)'])
        result.currents_ampere.each_with_index { |ampere, i| expect(ampere).to be_within(1e-4).of(-reference["i(v#{i})"]) }
      end
    end
  end

  it 'adds a series pair up as ngspice does, and the weaker one decides' do
    reference = ngspice(['v1 a 0 12.6', 'r1 a b 4m', 'v2 c b 12.2', 'r2 c top 16m', 'iload top 0 420'], ['v(top)'])
    result = described_class.series([source(12.6, 4), source(12.2, 16)], load_ampere: 420.0)
    expect(result.volt).to be_within(1e-6).of(reference['v(top)'])
  end

  it 'charges the weaker of two from the stronger while nothing is drawn' do
    currents = described_class.parallel([source(12.7, 5), source(12.1, 5)], load_ampere: 0.0).currents_ampere
    expect(currents).to match([be_within(1e-6).of(60), be_within(1e-6).of(-60)])
  end

  it 'stands for the whole bank by one source' do
    bank = [source(12.7, 5), source(12.1, 9)]
    whole = described_class.equivalent(bank, arrangement: 'parallel')
    expect(whole.rest_volt - (300 * whole.resistance_ohm)).to be_within(1e-9).of(described_class.parallel(bank, load_ampere: 300.0).volt)
  end
end
