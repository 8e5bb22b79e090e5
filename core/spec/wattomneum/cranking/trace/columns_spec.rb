# frozen_string_literal: true

RSpec.describe Wattomneum::Cranking::Trace::Columns do
  def places(*headings) = described_class.new(headings, headings.size).places

  { ['time (s)', 'posts (V)', 'current (A)'] => [[0, 1.0], [1, 1.0], [2, 1.0]],
    %w[Time_ms Voltage_mV Current_kA] => [[0, 1e-3], [1, 1e-3], [2, 1e3]],
    ['current [A]', 't', 'U'] => [[1, 1.0], [2, 1.0], [0, 1.0]],
    %w[Seconds Amps] => [[0, 1.0], nil, [1, 1.0]],
    ['time [us]', 'posts'] => [[0, 1e-6], [1, 1.0], nil], ['time (µs)', 'V'] => [[0, 1e-6], [1, 1.0], nil] }.each do |headings, found|
    it("understands #{headings.join(', ')}") { expect(places(*headings)).to eq(found) }
  end

  it 'takes time, volts and current in this order where nothing is named' do
    expect(described_class.new(nil, 3).places).to eq([[0, 1.0], [1, 1.0], [2, 1.0]])
  end

  it 'reads a line of units below the headings, once, and never takes figures for units' do
    columns = described_class.new(%w[time posts current], 3)
    expect([columns.units?(%w[0.001 12.6 0]), columns.units?(%w[ms mV A]), columns.units?(%w[s V A])]).to eq([false, true, false])
    expect(columns.places).to eq([[0, 1e-3], [1, 1e-3], [2, 1.0]])
  end

  { %w[posts current] => /time/, %w[time speed] => /posts, volts or current/ }.each do |headings, message|
    it("says what is missing in #{headings.join(', ')}") do
      expect { places(*headings) }.to raise_error(Wattomneum::InvalidQuantityError, message)
    end
  end
end
