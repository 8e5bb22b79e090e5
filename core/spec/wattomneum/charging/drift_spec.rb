# frozen_string_literal: true

RSpec.describe Wattomneum::Charging::Drift do
  let(:system) do
    Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0)
  end

  def drift(*volts, every: 120)
    described_class.new(volts.each_with_index.map { |volt, index| [20_000.0 + (index * every), volt] }, system: system)
  end

  # By hand: -0.1 V in 120 days is -0.304 V a year. The middle of five readings is day 240 at 14.2 V; the band ends at 13.8 V, so
  # 0.4 / (0.1 / 120) = 480 days on: day 720.
  it 'tells when it will leave its band' do
    falls = drift(14.4, 14.3, 14.2, 14.1, 14.0)
    expect(falls.yearly_volt).to be_within(0.001).of(-0.304)
    expect(falls.leaves_day).to be_within(0.5).of(20_720)
    expect([falls.verdict, falls.words]).to match(['watch', /It falls, -0.30 V a year/])
  end

  it 'names the other causes where it rises' do
    rises = drift(14.3, 14.4, 14.5, 14.6)
    expect([rises.verdict, rises.words]).to match(['watch', /It rises.*sense wire/])
    expect(rises.leaves_between).to all(be > 20_000)
  end

  it 'calls what only scatters steady' do
    expect([drift(14.2, 14.25, 14.18, 14.22, 14.2).verdict, drift(14.2, 14.25, 14.18, 14.22, 14.2).leaves_day]).to eq(['sound', nil])
  end

  it 'says nothing of too few readings, or of too short a time' do
    expect([drift(14.4, 14.0).words, drift(14.4, 14.2, 14.0, every: 10).words])
      .to eq(['No line yet: 3 readings are needed, 2 count', 'No line yet: 60 days are needed, the readings span 20'])
  end
end
