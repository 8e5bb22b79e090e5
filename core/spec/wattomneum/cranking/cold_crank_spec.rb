# frozen_string_literal: true

# Both cases were worked by hand, step by step, in docs/cold-crank.md; their tables are from memory (common practice).
RSpec.describe Wattomneum::Cranking::ColdCrank do
  def crank_test(**read) = Wattomneum::Cranking::CrankTest.new(**read)

  let(:twelve) do
    crank_test(rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, celsius: 10.0, batteries_in_series: 1, ampere: 620.0, speed_rpm: 190.0)
  end
  let(:twenty_four) do
    crank_test(rest_volt: 25.20, posts_volt: 21.20, drop_volt: 0.60, celsius: 8.0, batteries_in_series: 2, ampere: 320.0, speed_rpm: 175.0)
  end

  let(:twelve_cold) { morning(twelve, low: -15.0, before: -11.0, charge: 80.0) }
  let(:twenty_four_cold) { morning(twenty_four, low: -18.0, before: -14.0, charge: 85.0) }

  def morning(test, low:, before:, charge:)
    described_class.at_dawn(test, low_celsius: low, day_before_celsius: before, charge_percent: charge)
  end

  def figures(cold) = [cold.ampere, cold.posts_volt, cold.starter_volt, cold.speed_rpm]

  it 'finds the resistances of the worked tests, 12 V and 24 V' do
    found = [twelve, twenty_four].flat_map { |test| [test.bank_ohm, test.path_ohm, test.starter_ohm] }
    expect(found).to match([3.1452, 0.6452, 4.1129, 12.5, 1.875, 16.0938].map { |milliohm| be_within(6e-8).of(milliohm / 1000) })
    expect([twelve.back_emf_volt, twenty_four.back_emf_volt]).to match([be_within(0.001).of(7.65), be_within(0.001).of(15.45)])
  end

  it 'reaches the worked mornings' do
    expect(twelve_cold.bank_ratio).to be_within(0.0001).of(1.34832)
    expect([twelve_cold.speed_ratio, twelve_cold.current_ratio]).to match([be_within(0.0001).of(0.63229), be_within(0.0001).of(1.37169)])
    expect(figures(twelve_cold)).to match([be_within(0.05).of(850.45), be_within(0.001).of(8.8835), be_within(0.001).of(8.3349),
                                           be_within(0.05).of(120.14)])
    expect(figures(twenty_four_cold)).to match([be_within(0.05).of(444.73), be_within(0.001).of(17.3377), be_within(0.001).of(16.5038),
                                                be_within(0.05).of(105.87)])
  end

  # With everything as it was the test comes out again; rest volts are those of its charge.
  it 'returns the crank test at its own temperature' do
    same = described_class.new(twelve, battery_celsius: 10.0, engine_celsius: 10.0, charge_percent: 87.5)
    expect(figures(same)).to match([be_within(0.5).of(620.0), be_within(0.01).of(10.6), be_within(0.01).of(10.2), be_within(0.5).of(190.0)])
  end

  # Kirchhoff: what the bank gives is used up by path, winding and back-EMF, whatever the cold.
  it 'leaves no volts over at any temperature, and falls with the cold' do
    mornings = [10.0, 0.0, -8.0, -16.0, -24.0].map { |low| morning(twelve, low: low, before: low, charge: 80.0) }
    mornings.each do |cold|
      ohm = twelve.path_ohm + twelve.starter_ohm + (twelve.bank_ohm * cold.bank_ratio)
      used = (cold.ampere * ohm) + (cold.speed_ratio * twelve.back_emf_volt)
      expect(used).to be_within(1e-9).of(cold.open_volt)
    end
    expect(mornings.map(&:speed_rpm)).to eq(mornings.map(&:speed_rpm).sort.reverse)
  end

  # ngspice settles the same loop: bank, path and winding in series, and a starter whose current follows its speed.
  # Demand by the chart, read by hand: per cent of that at 27 degC, at dawn and at the test.
  it 'agrees with ngspice on the loop' do
    [[twelve, twelve_cold, 193.1944 / 134.6296], [twenty_four, twenty_four_cold, 202.3611 / 138.7037]].each do |test, cold, ratio|
      demand = test.ampere * ratio
      cards = ["V1 rest 0 #{cold.open_volt}", "R1 rest posts #{test.bank_ohm * cold.bank_ratio}", "R2 posts stud #{test.path_ohm}",
               "R3 stud emf #{test.starter_ohm}", "B1 emf 0 I=#{demand}*(0.88+0.12*v(emf)/#{test.back_emf_volt})"]
      volts = ngspice(cards, %w[v(posts) v(stud) v(emf)])
      ours = [cold.posts_volt, cold.starter_volt, cold.speed_ratio * test.back_emf_volt]
      expect(volts.values).to match(ours.map { |volt| be_within(1e-5).of(volt) })
    end
  end

  # A starter that stands is its resistance: 24.9 V over bank, path and winding.
  it 'stands where the engine asks for more than the volts can give, and says with what current' do
    tired = crank_test(rest_volt: 12.45, posts_volt: 7.9, drop_volt: 2.6, celsius: 15.0, batteries_in_series: 1, ampere: 400.0)
    cold = morning(tired, low: -28.0, before: -28.0, charge: 60.0)
    expect([cold.turns?, cold.speed_ratio, cold.speed_rpm]).to eq([false, 0.0, nil])
    ohm = (tired.bank_ohm * cold.bank_ratio) + tired.path_ohm + tired.starter_ohm
    expect(cold.ampere).to be_within(1e-6).of(cold.open_volt / ohm)
    expect(cold.posts_volt).to be_between(0, 7.9)
  end

  it 'works without amperes, and refuses what was no crank test' do
    blind = crank_test(rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, celsius: 10.0, batteries_in_series: 1)
    cold = morning(blind, low: -15.0, before: -11.0, charge: 80.0)
    expect([cold.ampere, cold.posts_volt.round(4), blind.bank_ohm]).to eq([nil, 8.8835, nil])
    sound = { rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, celsius: 10.0, batteries_in_series: 1 }
    odd_tests = [{ posts_volt: 12.6 }, { drop_volt: -0.1 }, { drop_volt: 10.6 }, { rest_volt: 6.3 }, { rest_volt: 25.1 }, { ampere: 0.0 },
                 { speed_rpm: 0.0 }]
    odd_tests.each do |odd|
      expect { crank_test(**sound, **odd) }.to raise_error(Wattomneum::InvalidQuantityError)
    end
    expect { morning(blind, low: -40.0, before: -40.0, charge: 80.0) }.to raise_error(Wattomneum::OutOfTableRangeError)
  end
end
