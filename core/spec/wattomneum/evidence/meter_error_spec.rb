# frozen_string_literal: true

# By hand, from the makers' usual words: 0.5 % and 2 digits on volts (4,000 counts), 3 % and 2 A of drift on a clamp.
RSpec.describe Wattomneum::Evidence::MeterError do
  { 9.6 => 0.068, 25.2 => 0.146, 0.3 => 0.0017, 1.0 => 0.007, 60.0 => 0.5 }.each do |volt, off|
    it("may be off by #{off} V at #{volt} V") { expect(described_class.volt(volt)).to be_within(1e-9).of(off) }
  end

  it 'counts four digits for a difference of two readings, on the range of the larger' do
    expect(described_class.difference(12.4, 11.4)).to be_within(1e-9).of(0.045)
  end

  it 'counts 3 % and the drift of its zero for a clamp, and both meters for a drop brought to another current' do
    expect(described_class.ampere(600.0)).to be_within(1e-9).of(20.0)
    expect(described_class.scaled(0.35, at_ampere: 1400.0, to_ampere: 600.0)).to be_within(1e-6).of((0.00195 * 6 / 14) + (0.15 * 44 / 1400))
  end

  # By hand: 2 % and 5 mA of 60 mA are 6.2 mA, either way round; 2 % of 180 rpm are 3.6.
  it 'counts 2 % and 5 mA for a clamp for milliamperes, and 2 % of a speed' do
    expect([0.06, -0.06, 0.0].map { |ampere| described_class.small_ampere(ampere).round(6) }).to eq([0.0062, 0.0062, 0.005])
    expect(described_class.rpm(180.0)).to be_within(1e-9).of(3.6)
  end

  # A meter of 4,000 counts shows 399.9 mV with four digits behind it, 0.400 V with three, 3.999 V with three, 4.00 V with two.
  it 'counts the last digit of the range that the meter is on' do
    digits = [0.3999, 0.4, 3.999, 4.0, -39.99, 40.0].map { |volt| ((described_class.volt(volt) - (0.005 * volt.abs)) / 2).round(6) }
    expect(digits).to eq([0.0001, 0.001, 0.001, 0.01, 0.01, 0.1])
  end
end
