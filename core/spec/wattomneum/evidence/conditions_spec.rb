# frozen_string_literal: true

RSpec.describe Wattomneum::Evidence::Conditions do
  it 'never takes not said as yes' do
    conditions = described_class.new('tested_alone' => 'not_said', 'power_off' => 'no', 'load_on' => 'yes')
    expect(%w[tested_alone power_off load_on belt_looked_at].map { |key| conditions.said(key) }).to eq(%i[not_said no yes not_said])
  end

  it 'takes figures with comma or point' do
    conditions = described_class.new('battery_temperature_celsius' => '-4,5', 'hours_rested' => 6)
    expect([conditions.number('battery_temperature_celsius'), conditions.number('hours_rested')]).to eq([-4.5, 6.0])
  end

  it 'refuses a figure that cannot be, and names the allowed range' do
    expect { described_class.new('battery_temperature_celsius' => 400) }
      .to raise_error(Wattomneum::InvalidQuantityError, /-50 to 80 degC, got 400/)
  end

  it 'refuses words that are neither yes nor no' do
    expect { described_class.new('tested_alone' => 'perhaps') }.to raise_error(Wattomneum::InvalidQuantityError, /yes, no or not said/)
  end

  it 'refuses a condition nobody knows' do
    expect { described_class.new('moon' => 'yes') }.to raise_error(Wattomneum::UnknownKeyError)
  end

  it 'takes a figure with its own unit, and no other for it' do
    expect(described_class.new('battery_temperature_celsius' => '8 degC').number('battery_temperature_celsius')).to eq(8.0)
    ['8 degF', '8 V', 'V', 'warm'].each do |typed|
      expect { described_class.new('battery_temperature_celsius' => typed) }.to raise_error(Wattomneum::InvalidQuantityError, /got #{typed}/)
    end
  end

  it 'takes the ends of what may be' do
    expect([-50, 80].map { |celsius| described_class.new('battery_temperature_celsius' => celsius).number('battery_temperature_celsius') })
      .to eq([-50.0, 80.0])
  end
end
