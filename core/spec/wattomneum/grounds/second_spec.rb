# frozen_string_literal: true

RSpec.describe Wattomneum::Grounds::Second do
  # By hand from the table of the handbook: at 50 degC a wire carries sqrt(20 / 40) = 0.707 of its figure. 16 mm2: 98 A x 0.707 = 69 A;
  # 25 mm2: 91 A; 35 mm2: 112 A; 50 mm2: 140 A.
  it 'is as thick as full output asks for, and never under 16 mm2' do
    expect([nil, 45.0, 69.0, 70.0, 95.0, 130.0].map { |rating| described_class.section_mm2(rating) }).to eq([16.0, 16.0, 16.0, 25.0, 35.0, 50.0])
  end

  it 'names no size that is not in the table' do
    expect(described_class.section_mm2(900.0)).to be_nil
  end
end
