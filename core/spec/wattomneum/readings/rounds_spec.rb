# frozen_string_literal: true

RSpec.describe Wattomneum::Readings::Rounds do
  it 'asks of a unit only what it has the places for, in the order they are taken' do
    lone = Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'single', battery_count: 1, usual_cranking_current_ampere: 400.0,
                                                   heat_aid: false)
    expect(described_class.fetch('charge').steps(parallel_pair).map { |step| step.test.key }.first(4))
      .to eq(%w[posts_rest charge_lamp_key_on posts_heater posts_cranking])
    expect(described_class.fetch('charge').steps(lone).map { |step| step.test.key }).not_to include('posts_heater')
  end

  it 'takes together only what is read in the same state' do
    described_class::ALL.flat_map { |round| round.steps(parallel_pair) }.each do |step|
      expect(step.together.map(&:state)).to all(eq(step.test.state))
    end
  end

  it 'refuses a round that there is not' do
    expect { described_class.fetch('oil') }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
