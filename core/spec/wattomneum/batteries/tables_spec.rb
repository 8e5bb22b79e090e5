# frozen_string_literal: true

RSpec.describe Wattomneum::Batteries::StateOfCharge do
  # Handbook rest-voltage tables at 25 degC, from memory; AGM and gel common practice, from memory.
  { false => { 12.65 => 100, 12.45 => 75, 12.24 => 50, 12.06 => 25, 11.89 => 0 },
    true => { 12.85 => 100, 12.60 => 75, 12.30 => 50, 12.00 => 25, 11.80 => 0 } }.each do |recombinant, table|
    table.each do |volt, percent|
      it "reads #{volt} V at rest on #{recombinant ? 'AGM or gel' : 'a flooded battery'} as #{percent} %" do
        expect(described_class.from_rest_voltage(rest_volt: volt, recombinant: recombinant)).to be_within(1e-6).of(percent)
      end
    end
  end

  it 'is clamped outside its table' do
    expect([13.4, 11.0].map { |volt| described_class.from_rest_voltage(rest_volt: volt) }).to eq([100.0, 0.0])
  end

  # Handbook hydrometer table, from memory.
  { 1.265 => 100, 1.225 => 75, 1.190 => 50, 1.155 => 25, 1.120 => 0 }.each do |gravity, percent|
    it "reads #{gravity} SG as #{percent} %" do
      expect(described_class.from_gravity(specific_gravity: gravity)).to be_within(1e-6).of(percent)
    end
  end

  it 'adds 0.004 for 5.6 degC above 26.7 degC and takes it away below' do
    warm = described_class.corrected_gravity(specific_gravity: 1.25, electrolyte_celsius: 32.3)
    cold = described_class.corrected_gravity(specific_gravity: 1.25, electrolyte_celsius: 21.1)
    expect([warm, cold]).to match([be_within(1e-9).of(1.254), be_within(1e-9).of(1.246)])
  end

  # Two instruments on one battery. Cell volts are about SG + 0.845 (handbook, from memory); that rule lies 4 to 9 points above
  # the volts table's charge at part charge, and at the flat end, where the table is shallow (0.17 V a quarter), that is up to
  # 0.12 V: hence the tolerance.
  [0, 25, 50, 75, 100].each do |percent|
    it "agrees with the rest-voltage table within 0.12 V at #{percent} %" do
      gravity = Wattomneum::Batteries::Tables::DATA['specific_gravity']['points'].rassoc(percent).first
      volt = Wattomneum::Batteries::Tables::DATA['rest_voltage']['flooded']['points'].rassoc(percent).first
      expect(described_class.volts_from_gravity(specific_gravity: gravity)).to be_within(0.12).of(volt)
    end
  end

  # Handbook freezing points, from memory.
  it 'freezes at -57, -37, -24, -15 and -10 degC for those five, flat at about -7' do
    expect([100, 75, 50, 25, 0.01].map do |percent|
      described_class.freezing_celsius(charge_percent: percent).round
    end).to eq([-57, -37, -24, -15, -10])
    expect(described_class.freezing_celsius(charge_percent: 0)).to eq(-7.0)
  end
end
