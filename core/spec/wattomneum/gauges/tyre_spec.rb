# frozen_string_literal: true

# Free diameters of makers' tables, mm, from memory: within 2.5 %.
RSpec.describe Wattomneum::Gauges::Tyre do
  { '315/80 R22.5' => 1076, '315/80R22.5' => 1076, '295/60R22.5' => 926, '385/65 R 22.5' => 1072, '11R22.5' => 1052, '12 R 22.5' => 1084,
    '12.00-20' => 1125, '11.00R20' => 1085, '7.50-16' => 807, '18.4-38' => 1755, '16.9R34' => 1585, '540/65R30' => 1464, '31x10.5R15' => 787,
    '185R14' => 650, '13,6R24' => 1210, '10-16.5' => 773, '12-16.5' => 831, '12.5/80-18' => 965, '315/80R22.5 156/150L' => 1076,
    '540/65R30 150D' => 1464, '18.4-38 146A8' => 1755 }.each do |size, diameter_mm|
    it("takes #{size} for #{diameter_mm} mm") { expect(described_class.read(size).diameter_mm).to be_within(diameter_mm * 0.025).of(diameter_mm) }
  end

  # Worked by hand: (22.5 x 25.4 + 2 x 315 x 0.8) x 3.05 = 3280 mm.
  it 'rolls 3.28 m on a 315/80 R22.5' do
    expect(described_class.read('315/80R22.5').rolling_m).to be_within(0.001).of(3.280)
    expect(described_class.read('12.00-20').rolling_m / described_class.read('12.00R20').rolling_m).to be_within(1e-9).of(2.99 / 3.05)
  end

  it 'takes what was measured around as it is' do
    ['3.21 m', '321cm', '3210 mm'].each { |text| expect(described_class.read(text).rolling_m).to be_within(1e-9).of(3.21) }
  end

  it 'refuses what is no size' do
    ['big', '', '22.5', '315/80', '315-80-22', '9 cm', '400 m', '3' * 200].each do |text|
      expect { described_class.read(text) }.to raise_error(Wattomneum::InvalidQuantityError, /Tyre/)
    end
  end
end
