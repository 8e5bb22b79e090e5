# frozen_string_literal: true

RSpec.describe Wattomneum::Readings::Catalogue do
  let(:definitions) { Wattomneum::Evidence::Conditions::DEFINITIONS }

  described_class::ALL.each do |test|
    it "knows all that #{test.key} names" do
      expect(test.judge.split('::').reduce(Wattomneum) { |space, name| space.const_get(name) }).to be < Wattomneum::Evidence::Judge
      expect(definitions.keys).to include(*test.asked_conditions(parallel_pair)) unless test.asked_conditions(parallel_pair).empty?
      expect { Wattomneum::Safety::Cautions.fetch_all(test.cautions) }.not_to raise_error
      expect { [test.from, test.to].compact.each { |place| Wattomneum::Systems::Places.fetch(place) } }.not_to raise_error
      expect { test.limit && parallel_pair.limit(test.limit) }.not_to raise_error
      expect { test.element && Wattomneum::Systems::Places.element(test.element) }.not_to raise_error
      expect(described_class::STATES.keys).to include(*test.states)
      expect(described_class::INSTRUMENTS).to include(test.instrument)
    end

    it "says how #{test.key} is taken and what its answers mean, with no limit left unfilled" do
      expect(test.how(series_pair).size).to be > 15
      expect(test.answers(series_pair)).not_to be_empty
      expect(test.answers(series_pair).flat_map(&:values).join).not_to include('{')
    end
  end

  # A figure that a fleet may set is written in from its limit, so that a card never says another one than is judged by.
  it 'writes no volts and no percent of its own on a card' do
    rows = Wattomneum::DataFile.load('tests')
    texts = rows.flat_map { |row| [row['how'], *row.fetch('answers', []).flat_map(&:values)] }
    expect(texts.grep(/\d ?(V|%|mohm)\b/).grep_v(/\A0 V\z/)).to eq([])
  end

  it 'follows the limit that a fleet sets, in volts too where it is a share of charge' do
    limits = Wattomneum::Limits::Table.shipped.with('battery.charge_least' => 70.0)
    said = ->(table) { described_class.fetch('rest_voltage').answers(parallel_pair, limits: table).first.values }
    expect(said.call(Wattomneum::Limits::Table.shipped)).to eq(['12.45 V or more', 'at least 75 % charged: the battery may be tested'])
    expect(said.call(limits)).to eq(['12.41 V or more', 'at least 70 % charged: the battery may be tested'])
  end

  it 'offers only the tests a unit has places for' do
    keys = described_class.for(single_battery).map(&:key)
    expect(keys).to include('positive_cable_drop')
    expect(keys).not_to include('isolator_drop', 'sense_feed')
  end

  it 'asks for batteries tested alone only where there is a bank' do
    test = described_class.fetch('battery_test')
    expect(test.required_conditions(single_battery)).not_to include('tested_alone')
    expect(test.required_conditions(series_pair)).to include('tested_alone')
  end

  it 'refuses a test it does not hold' do
    expect { described_class.fetch('tea_leaves') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
