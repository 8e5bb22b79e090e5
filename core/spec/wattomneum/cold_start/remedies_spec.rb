# frozen_string_literal: true

# The two worked units (docs/cold-start.md), each battery by label and tester, here with the forecast's own chart.
RSpec.describe Wattomneum::ColdStart::Remedies do
  cold_start = Wattomneum::ColdStart

  def part(position, ampere, share, rest)
    Wattomneum::ColdStart::BankParts::Part.new(position: position, sae_ampere: ampere, health_ratio: share, rest_volt: rest)
  end

  def system(volt, arrangement)
    Wattomneum::Units::ElectricalSystem.new(system_volt: volt, arrangement: arrangement, battery_count: 2, usual_cranking_current_ampere: 600.0)
  end

  def bank(*parts, unit: system(12, 'parallel'), **celsius) = Wattomneum::ColdStart::BankParts.new(parts, system: unit, **celsius)

  let(:pair) { bank(part('A', 950.0, 0.92, 12.60), part('B', 950.0, 0.70, 12.45), celsius: 10.0) }
  let(:series) { bank(part('A', 700.0, 0.95, 12.62), part('B', 700.0, 0.78, 12.58), unit: system(24, 'series'), celsius: 8.0) }
  let(:inputs) do
    test = Wattomneum::Cranking::CrankTest.new(rest_volt: 12.55, posts_volt: 10.60, drop_volt: 0.40, celsius: 10.0, batteries_in_series: 1,
                                               ampere: 620.0, speed_rpm: 190.0)
    cold_start::Inputs.of_test(test, heat_aid: true, control_unit: true)
  end

  def remedies(bank: pair, charge: 0.80, sound_drop: 0.24)
    described_class.new(inputs, charge: Wattomneum::ColdStart::Evening::Charge.new(ratio: charge, spread: 0.05), bank: bank,
sound_drop_volt: sound_drop)
  end

  # By hand: (rest - 7.2) / (label x share) / c / k: 4.716 and 6.824 mohm, 6.228 and 7.767 mohm; new ones at 12.65 V, k 1.
  it 'knows what another battery in its place does to a bank' do
    expect([pair.weaker, series.weaker]).to eq(%w[B B])
    new = (12.65 - 7.2) / 950 / 1.36111
    expect(pair.ratio_with_new(%w[B])).to be_within(0.001).of(((1 / 4.7162) + (1 / 6.8237)) / ((1 / 4.7162) + (0.001 / new)))
    other = (12.65 - 7.2) / 700 / 1.33889
    expect(series.ratio_with_new(%w[A B])).to be_within(0.001).of(2000 * other / (6.2275 + 7.7672))
  end

  it 'names what wins most first, each with its minutes and its cautions' do
    all = remedies.all
    expect(all.map(&:degrees)).to eq(all.map(&:degrees).sort.reverse)
    expect(all.map(&:key)).to include('heat', 'whole_bank', 'weaker', 'charge', 'joints')
    expect(all.first).to have_attributes(key: 'heat', minutes: 10)
    expect(all.find { |one| one.key == 'weaker' }).to have_attributes(words: 'Replace battery B', cautions: %w[batteries live_cable])
    expect { Wattomneum::Safety::Cautions.fetch_all(all.flat_map(&:cautions)) }.not_to raise_error
  end

  it 'says nothing of single batteries that were not tested, of drops that are sound, of a full bank' do
    expect(remedies(bank: nil, charge: 0.98, sound_drop: 0.5).all.map(&:key)).to eq(%w[heat])
  end

  it 'charges no battery that may be ice, and weighs none that is flat or was not tested' do
    frozen = described_class.new(inputs, charge: Wattomneum::ColdStart::Evening::Charge.new(ratio: 0.2, spread: 0.1), bank: pair, may_freeze: true)
    expect(frozen.all.map(&:key)).not_to include('charge')
    [part('B', 950.0, 0.7, 11.2), part('B', 950.0, nil, 12.6), part('B', 950.0, 0.7, nil)].each do |other|
      expect(remedies(bank: bank(part('A', 950.0, 0.92, 12.60), other)).all.map(&:key)).not_to include('weaker', 'whole_bank')
    end
  end

  # By hand at 20 degC and 89 %: (12.562 - 7.2) / 850 / 1.472 / 0.934 each, two side by side; on 6 V the same by six cells, half of each.
  it 'knows the resistance of a bank by its labels, on 6 V too' do
    each = (12.562 - 7.2) / 850 / 1.47222 / 0.934
    expect(bank(part('A', 850.0, 1.0, nil), part('B', 850.0, 1.0, nil)).usual_ohm).to be_within(each / 200).of(each / 2)
    six = bank(part('A', 850.0, 1.0, nil), part('B', 850.0, 1.0, nil), unit: system(6, 'parallel'))
    expect(six.usual_ohm).to be_within(each / 400).of(each / 4)
    expect(bank(part('A', 850.0, 1.0, 6.3), part('B', 850.0, 0.6, 6.2), unit: system(6, 'parallel'))).to be_tested.and have_attributes(weaker: 'B')
  end

  it 'holds what is said to be measured next against what is known already' do
    tested = cold_start::Threshold.new(inputs)
    untested = cold_start::Threshold.new(cold_start::Inputs.untested(bank_ohm: 0.0031, cranking_ampere: 600.0, batteries_in_series: 1,
                                                                     heat_aid: true, control_unit: true))
    expect(untested.narrowing.first(3).map(&:first)).to include(:bank_resistance)
    expect(tested.narrowing.map(&:first)).not_to include(:own_resistance_share, :demand_exponent)
    expect(untested.variance).to be > tested.variance
  end

  # By hand: 0.24 of 0.40 V is left of the drop; nothing is won where no more was lost than clean joints lose.
  it 'wins with clean joints what the same engine would have had with their drop' do
    clean = remedies(sound_drop: 0.24).all.find { |one| one.key == 'joints' }
    threshold = cold_start::Threshold.new(inputs, charge_ratio: 0.80)
    expect(clean.degrees).to be_within(1e-9).of(threshold.degrees_won(cold_start::Mended.new(drop_ratio: 0.6), charge_ratio: 0.80))
    expect(remedies(sound_drop: 0.40).all.map(&:key)).not_to include('joints')
  end

  # By hand: half of 0.5 and 0.3 V, and of 1.0 and 0.3 V.
  it 'takes half of what joints may lose for clean ones' do
    expect([system(12, 'parallel'), system(24, 'series')].map { |one| described_class.sound_drop_volt(one) }).to eq([0.4, 0.65])
  end

  it 'promises of several things what the best of them wins, and nothing of none' do
    expect([described_class.together([1.2, 3.0, 0.4]), described_class.together([])]).to eq([3.0, 0.0])
  end
end
