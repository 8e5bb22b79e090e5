# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::ShelfTest do
  let(:battery) do
    Wattomneum::Batteries::Battery.new(tag: 'S-1', type: 'flooded', capacity_ampere_hour: 100.0, made_on: nil,
                                       rating: Wattomneum::Batteries::Rating.new(ampere: 850.0, standard: 'SAE'))
  end

  def judged(ampere, volt: 12.6, celsius: 15.0, settled: true)
    described_class.new(battery, tester_ampere: ampere, rest_volt: volt, celsius: celsius, settled: settled).judgement
  end

  # Handbook of batteries (common practice): 690 A of 850 A is 81 %, not condemned; 750 A is 88 %; under 60 % replace.
  it 'grades it as in a unit' do
    expect([690.0, 750.0, 500.0].map { |ampere| [judged(ampere).figures[:health_percent].round, judged(ampere).verdict] })
      .to eq([[81, 'watch'], [88, 'sound'], [59, 'act']])
  end

  # 660 and 450 of 760 by EN are 87 and 59 %; shown by SAE they would be 82 and 56 %. The form asks for it by the label.
  it 'takes the tester for one that shows by the label, whatever standard that is' do
    en = Wattomneum::Batteries::Battery.new(tag: 'S-2', type: 'flooded', rating: Wattomneum::Batteries::Rating.new(ampere: 760.0, standard: 'EN'))
    found = [660.0, 450.0].map { |ampere| described_class.new(en, tester_ampere: ampere, rest_volt: 12.6, celsius: 15.0, settled: true).judgement }
    expect(found.map { |one| [one.figures[:health_percent].round, one.verdict] }).to eq([[87, 'sound'], [59, 'act']])
  end

  it 'says charge and test again under three quarters of charge, and judges nothing right after the charger' do
    flat = judged(500.0, volt: 12.2)
    expect([flat.verdict, flat.instead]).to eq(['unproven', 'Charge it and test again'])
    expect([judged(750.0, settled: false).verdict, judged(750.0, celsius: nil).verdict]).to eq(%w[unproven unproven])
  end
end
