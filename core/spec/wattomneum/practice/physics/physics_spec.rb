# frozen_string_literal: true

# The physics that hidden faults behave by, against references that share no line with it.
RSpec.describe Wattomneum::Practice::Physics do
  include Ngspice

  def battery(**changes) = Wattomneum::Practice::Physics::Accumulator.new(sae_ampere: 800.0, cells: 6, charge: 1.0, celsius: 20.0, **changes)
  def motor(**changes) = Wattomneum::Practice::Physics::Motor.new(usual_ampere: 600.0, system_volt: 12, celsius: 20.0, **changes)

  it 'knows neither limits, nor how readings are judged, nor how faults are looked for' do
    folder = File.expand_path('../../../../lib/wattomneum/practice/physics', __dir__)
    words = /Limits|Faults|Evidence|Cranking|Charging|InternalResistance|Fitment|Solving/
    expect(Dir[File.join(folder, '*.rb')].flat_map { |file| File.readlines(file).grep(words) }).to be_empty
  end

  describe described_class::Net do
    # ngspice (Debian): a bridge with two sources, unbalanced.
    it 'has the volts that ngspice has' do
      ways = [[1, 0, 0.01, 12.6], [1, 2, 0.5, 0.0], [1, 3, 2.0, 0.0], [2, 3, 3.0, 0.0], [2, 0, 4.0, 0.0], [3, 0, 0.7, 0.0], [3, 4, 0.02, 1.5],
              [4, 0, 9.0, 0.0]]
      volts = described_class.new(5).solve(ways.map { |one| described_class::Way.new(*one) })
      cards = ways.each_with_index.flat_map { |(from, to, ohm, volt), at| ["R#{at} #{from} m#{at} #{ohm}", "V#{at} m#{at} #{to} #{volt}"] }
      found = ngspice(cards, (1..4).map { |node| "v(#{node})" })
      expect(volts.drop(1)).to match(found.values.map { |volt| be_within(1e-6).of(volt) })
    end
  end

  # ngspice (Debian), with the same laws written as its own sources: a battery, 3 mohm of cable, a motor that turns.
  it 'finds the ampere that ngspice finds for a battery that starts an engine, its laws written anew there' do
    net = ['Rleak b 0 1e-6', 'Vs p c 0', 'Rcable c m 0.003',
           'Bbat p b V = 12.72 - i(Vs)*2.72093e-3 - 0.108155*asinh(i(Vs)/13.566) - 0.6*pow(i(Vs)/2006.6, 4)',
           'Bmot m 0 V = i(Vs)*2.31e-3 + 0.9*tanh(i(Vs)/30) + 6.954*(i(Vs)/600/(0.45+0.55*i(Vs)/600))*pow(max(((i(Vs)/600)*(i(Vs)/600)/' \
           '(0.45+0.55*i(Vs)/600)-0.05)/0.95-0.8, 0)/0.2, 1.6667)']
    expect(ampere_of(battery, motor(draw: -> { 0.5 }), 0.003)).to be_within(1.0).percent_of(ngspice(net, ['i(vs)']).values.first)
  end

  # By halving, which needs no slope.
  def ampere_of(battery, motor, ohm)
    least = 0.0
    most = 3000.0
    60.times do
      middle = (least + most) / 2
      battery.volt(-middle) - (middle * ohm) > motor.volt(middle) ? least = middle : most = middle
    end
    least
  end

  describe described_class::Accumulator do
    # SAE J537, from memory: at -18 degC and its rated ampere a battery of 12 V holds 7.2 V.
    it 'has about 7.2 V left at -18 degC and its rated ampere' do
      expect(battery(celsius: -18.0).volt(-800.0)).to be_within(0.5).of(7.2)
    end

    # Common practice: five cells of a charged battery show 10.5 to 10.7 V.
    it 'shows 10.5 to 10.7 V with one of six cells gone, however full' do
      expect(battery(dead_cells: 1).rest_volt).to be_between(10.5, 10.7)
    end
  end

  describe described_class::Motor do
    # Walther's equation for 15W-40 of 105 and 14.5 mm2/s (from memory, of a data sheet's usual figures): about 400 mm2/s at 15 degC.
    it 'knows how oil stiffens' do
      expect([described_class.viscosity(40.0), described_class.viscosity(100.0)]).to match([be_within(0.01).of(105), be_within(0.01).of(14.5)])
      expect(described_class.viscosity(15.0)).to be_between(330, 470)
    end

    # Common practice: an engine at -18 degC asks for about twice the torque of a warm one.
    it 'asks for about twice the torque at -18 degC' do
      expect(described_class.stiffness(-18.0) / described_class.stiffness(27.0)).to be_between(1.6, 2.6)
    end

    it 'stands under what it takes to turn, and takes more ampere the faster it turns' do
      expect([motor.speed(300.0), motor.speed(600.0)]).to match([0.0, be_within(0.1).of(1.0)])
      expect((300..900).step(20).map { |ampere| motor.volt(ampere.to_f) }.each_cons(2)).to all(satisfy { |one, other| other > one })
    end

    it 'turns slower with worn brushes or a worn bush at the same volts, and takes more with shorted turns' do
      ampere = ->(ails) { motor(ails: ails).then { |one| (1..1500).find { |at| one.volt(at.to_f) >= 9.2 }.to_f } }
      speed = ->(ails) { motor(ails: ails).speed(ampere.call(ails)) }
      expect([{ series_ohm: 0.004 }, { friction: 0.4 }].map(&speed)).to all(be < speed.call({}))
      expect(ampere.call(turns: 0.7)).to be > ampere.call({})
    end
  end
end
