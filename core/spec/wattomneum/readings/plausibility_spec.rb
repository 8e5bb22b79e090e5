# frozen_string_literal: true

RSpec.describe Wattomneum::Readings::Plausibility do
  def question(key, value, system = parallel_pair)
    described_class.question(test: Wattomneum::Readings::Catalogue.fetch(key), value: value, system: system)
  end

  it 'asks about volts where millivolts were meant and offers both' do
    asked = question('ground_drop', 12.6)
    expect(asked.text).to include('12.60 V', 'nearly the whole system')
    expect(asked.options.map { |option| option[:value] }).to include(nil, 0.0126)
  end

  it 'asks about reversed leads and offers the value the right way round' do
    asked = question('posts_rest', -12.6)
    expect(asked.text).to include('wrong way round')
    expect(asked.options.map { |option| option[:value] }).to include(12.6)
  end

  it 'lets an ordinary value pass, on 12 V and on 24 V' do
    expect(question('posts_rest', 12.6)).to be_nil
    expect(question('posts_rest', 25.2, series_pair)).to be_nil
    expect(question('posts_rest', 12.6, series_pair)).not_to be_nil
  end

  it 'judges one battery of a 24 V pair as 12 V' do
    expect(question('rest_voltage', 12.5, series_pair)).to be_nil
    expect(question('rest_voltage', 25.0, series_pair)).not_to be_nil
  end

  it 'asks for the k or the M where ohms were typed without one' do
    asked = question('signal_wire_ohms', 18.0)
    expect(asked.options.map { |option| option[:value] }).to eq([nil, 18_000.0, 18_000_000.0])
    expect(question('signal_wire_ohms', 0.3)).to be_nil
  end

  it 'does not ask again where a prefix was chosen' do
    test = Wattomneum::Readings::Catalogue.fetch('signal_wire_ohms')
    expect(described_class.question(test: test, value: 0.018, unit: 'mohm', system: parallel_pair)).to be_nil
    expect(described_class.question(test: test, value: 500.0, unit: 'kohm', system: parallel_pair)).to be_nil
  end

  it 'asks whether "1,200" is a thousand or a decimal, for amperes only' do
    test = Wattomneum::Readings::Catalogue.fetch('cranking_current')
    asked = described_class.question(test: test, value: 1.2, system: parallel_pair, text: '1,200')
    expect(asked.options.map { |option| option[:value] }).to eq([1200.0, nil])
    expect(described_class.question(test: test, value: 120.0, system: parallel_pair, text: '120')).to be_nil
    volts = Wattomneum::Readings::Catalogue.fetch('posts_rest')
    expect(described_class.question(test: volts, value: 12.6, system: parallel_pair, text: '12.600')).to be_nil
  end

  it 'leaves an unconfirmed value unjudged and says what to do' do
    judged = judge(reading('ground_drop', 12.6, conditions: {}))
    expect([judged.verdict, judged.validity, judged.convicts]).to eq(['unproven', 'unstated', []])
  end

  it 'judges it once it was confirmed: an open joint does drop everything' do
    expect(judge(reading('ground_drop', 12.4, conditions: { 'value_confirmed' => 'yes' })).verdict).to eq('act')
  end

  # A tester set to another standard gives half as much again; a digit typed twice ten times as much. 1.3 x 800 A are 1,040 A.
  it 'asks about a tester that gives more than the label, and offers a tenth where that could be' do
    asked = lambda do |ampere|
      described_class.question(test: Wattomneum::Readings::Catalogue.fetch('battery_test'), value: ampere, system: parallel_pair, rated_ampere: 800.0)
    end
    expect(asked.call(1_100.0)).to have_attributes(text: /\A1100 A is 138 % of its label: was the tester set to another standard/,
                                                   options: [{ label: '1100 A, as I typed it', value: nil }, { label: '110 A', value: 110.0 }])
    expect(asked.call(10_400.0).options.map { |option| option[:value] }).to eq([nil, 1_040.0])
    expect(asked.call(10_500.0).options.map { |option| option[:value] }).to eq([nil])
    expect(asked.call(1_040.0)).to be_nil
  end

  it 'offers the thousandfold of what was typed in kiloamperes' do
    expect(question('battery_test', 0.62).options.map { |option| option[:value] }).to eq([nil, 620.0])
  end
end
