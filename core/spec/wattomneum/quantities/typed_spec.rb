# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Typed do
  def value(text, quantity, unit: nil) = Wattomneum::Quantities::Entry.new(text: text, quantity: quantity, unit: unit).value

  it 'reads units as people write them and their plain forms alike' do
    { ['300 mΩ', 'resistance'] => 0.3, ['300 mohm', 'resistance'] => 0.3, ["4,7k\u2126", 'resistance'] => 4700.0, ['1.5MΩ', 'resistance'] => 1.5e6,
      ['12 k', 'resistance'] => 12_000.0, ['3,2M', 'resistance'] => 3.2e6,
      ['−0,3', 'voltage'] => -0.3, ['-300 mV', 'voltage'] => -0.3, ["12.6\u00A0V", 'voltage'] => 12.6, ['20 °C', 'temperature'] => 20.0,
      %w[20C temperature] => 20.0, ['50 °F', 'temperature'] => 10.0 }.each do |(text, quantity), expected|
      expect(value(text, quantity)).to be_within(1e-9).of(expected), text
    end
  end

  it 'lets the unit behind the number win over the one that is set, and keeps the text as typed' do
    entry = Wattomneum::Quantities::Entry.new(text: '300 mV', quantity: 'voltage', unit: 'V')
    expect([entry.value, entry.unit, entry.text]).to eq([0.3, 'mV', '300 mV'])
    expect(value('0.3', 'resistance', unit: 'kΩ')).to eq(300.0)
  end

  it 'refuses a unit of another quantity, and text' do
    expect { value('12 A', 'voltage') }.to raise_error(Wattomneum::InvalidQuantityError, /A is no unit for this reading; use V, mV/)
    expect { value('12 k', 'voltage') }.to raise_error(Wattomneum::InvalidQuantityError, /no unit for this reading/)
    ['about 12', '12 V or so 3', 'V', '--3', '1 2'].each { |text| expect { value(text, 'voltage') }.to raise_error(Wattomneum::InvalidQuantityError) }
  end

  it 'serves conditions and sums too' do
    said = Wattomneum::Evidence::Conditions.new('battery_temperature_celsius' => '−8,5 °C')
    expect(said.number('battery_temperature_celsius')).to eq(-8.5)
    expect { Wattomneum::Evidence::Conditions.new('battery_temperature_celsius' => '8 V') }.to raise_error(Wattomneum::InvalidQuantityError)
    expect(Wattomneum::Sums::Catalogue.fetch('wire_drop').read('length_m' => '5 m', 'celsius' => '40 °C')).to include(length_m: 5.0, celsius: 40.0)
    answers = ['2.5', '2.5 mm²', '2,5 mm2'].map { |size| Wattomneum::Sums::Calculator.call(Wattomneum::Sums::Catalogue.fetch('wire_drop'), { 'size' => size }) }
    expect(answers.map(&:answer).uniq.size).to eq(1)
  end
end
