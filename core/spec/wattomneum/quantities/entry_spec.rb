# frozen_string_literal: true

RSpec.describe Wattomneum::Quantities::Entry do
  def entry(text, quantity: 'voltage', unit: nil) = described_class.new(text: text, quantity: quantity, unit: unit)

  it 'reads a decimal comma and a decimal point alike' do
    expect([entry('12,6').value, entry('12.6').value, entry(' 12.60 ').value]).to eq([12.6, 12.6, 12.6])
  end

  it 'keeps text and unit as entered and the value in the base unit' do
    kept = entry('450', unit: 'mV')
    expect([kept.text, kept.unit, kept.value]).to eq(['450', 'mV', 0.45])
  end

  it 'turns every prefix people read into the base unit' do
    ohms = { 'ohm' => 2.0, 'mohm' => 0.002, 'kohm' => 2000.0, 'Mohm' => 2_000_000.0 }
    ohms.each { |unit, value| expect(entry('2', quantity: 'resistance', unit: unit).value).to eq(value) }
    expect(entry('50', quantity: 'temperature', unit: 'degF').value).to be_within(1e-9).of(10)
  end

  it 'knows what was rounded away when it was typed, in the base unit' do
    typed = [['12.6'], ['12,60'], ['0.0'], ['0'], ['12'], ['300 mV'], ['1.2e1']].map { |text, *| entry(text).half_digit }
    expect(typed.map { |half| half.round(6) }).to eq([0.05, 0.005, 0.05, 0.05, 0.5, 0.0005, 0.5])
    expect(entry('OL', quantity: 'resistance').half_digit).to eq(0.0)
    expect(entry('45', quantity: 'temperature', unit: 'degF').half_digit).to be_within(1e-9).of(0.5 / 1.8)
  end

  it 'takes OL as a reading of its own on ohms, without a value' do
    kept = entry('OL', quantity: 'resistance')
    expect([kept.overload?, kept.value]).to eq([true, nil])
  end

  it 'refuses OL on volts and says what to do' do
    expect { entry('O.L') }.to raise_error(Wattomneum::InvalidQuantityError, /too small a range/)
  end

  it 'refuses text, two commas, units in the number and nothing at all' do
    ['twelve', '1,2,3', '12 V 3', '', '0x1F', '1_000', "12\n6"].each do |text|
      expect { entry(text) }.to raise_error(Wattomneum::InvalidQuantityError, /not a number/), text.inspect
    end
  end

  it 'refuses what no meter reads' do
    expect { entry('1e400') }.to raise_error(Wattomneum::InvalidQuantityError, /larger than any meter/)
  end

  it 'refuses a unit of another quantity and names the ones that go' do
    expect { entry('1', unit: 'ohm') }.to raise_error(Wattomneum::InvalidQuantityError, /use V, mV/)
  end
end
