# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::Rating do
  # Approximate conversions, common practice, from memory.
  { 'SAE' => 800, 'EN' => 848, 'DIN' => 1440, 'IEC' => 1200, 'CA' => 640 }.each do |standard, sae|
    it "takes 800 A #{standard} for about #{sae} A SAE" do
      expect(described_class.new(ampere: 800, standard: standard).sae_ampere).to be_within(0.5).of(sae)
    end
  end

  it 'says when the figure is converted, and what its own standard tests' do
    expect(described_class.new(ampere: 800, standard: 'EN')).to be_converted
    expect(described_class.new(ampere: 800, standard: 'EN').test_description).to include('EN 50342-1', '7.5 V')
  end

  it 'refuses a rating no such battery has and a standard nobody knows' do
    expect { described_class.new(ampere: 8500, standard: 'SAE') }.to raise_error(Wattomneum::InvalidQuantityError, /got 8500 A/)
    expect { described_class.new(ampere: 800, standard: 'MOON') }.to raise_error(Wattomneum::InvalidQuantityError, /SAE, EN/)
  end

  it 'refuses a battery of a type nobody makes' do
    expect { battery('x', type: 'potato') }.to raise_error(Wattomneum::InvalidQuantityError)
  end
end
