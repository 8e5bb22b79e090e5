# frozen_string_literal: true

RSpec.describe Wattomneum::Ignition::FiringOrder do
  it 'reads an order however it is written, from cylinder 1 on' do
    ['1-3-4-2', '1 3 4 2', '1342', '4-2-1-3', '1, 3, 4, 2'].each { |text| expect(described_class.read(text).to_s).to eq('1-3-4-2') }
    expect(described_class.read('1-5-3-6-2-4').after(4)).to eq(1)
  end

  it 'refuses what is no order, and says why' do
    { '1-3-3-2' => /cylinder 3 stands in it twice/, '1-3-4-5' => /cylinder 2 is not in it/, '1-2-3-4-5' => /5 cylinders/,
      '1-a-2' => /"a" is no cylinder/, '' => /0 cylinders/, '0-1' => /cylinder 2 is not/ }.each do |text, words|
      expect { described_class.read(text) }.to raise_error(Wattomneum::InvalidQuantityError, words)
    end
  end

  # By hand: 1-3-4-2 reversed is 1-2-4-3 (handbook of harness work); two cylinders are the same both ways.
  it 'knows its reverse, and whether the direction of the rotor matters' do
    expect(described_class.read('1-3-4-2').reversed.to_s).to eq('1-2-4-3')
    expect(%w[1-2 1-2-3 1-3-4-2 1-5-3-6-2-4].map { |text| described_class.read(text).same_both_ways? }).to eq([true, false, false, false])
  end

  # Pairs of a wasted spark stand 360 degrees of the crank apart: 1-3-4-2 fires 1 and 4, 3 and 2 together; 1-5-3-6-2-4: 1 and 6, 5 and 2, 3 and 4.
  it 'names the pairs that share a coil' do
    expect(described_class.read('1-3-4-2').pairs).to eq([[1, 4], [3, 2]])
    expect(described_class.read('1-5-3-6-2-4').pairs).to eq([[1, 6], [5, 2], [3, 4]])
    expect(described_class.read('1-2-3').pairs).to eq([])
  end
end
