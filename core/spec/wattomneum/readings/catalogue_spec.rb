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
