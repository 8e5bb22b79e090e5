# frozen_string_literal: true

# Limits: handbook, from memory.
RSpec.describe Wattomneum::Ignition::Figures do
  def judge(key, value, **about) = described_class.new.judge(key, value, **about)

  {
    ['primary', 1.5] => 'sound', ['primary', 0.2] => 'act', ['primary', 40.0] => 'act', ['secondary', 9000.0] => 'sound',
    ['secondary', 20_000.0] => 'act', ['ballast', 1.6] => 'sound', ['ballast', 3.0] => 'act', ['condenser', 0.25] => 'sound',
    ['condenser', 0.1] => 'act', ['points_gap', 0.4] => 'sound', ['points_gap', 0.6] => 'act', ['magneto_gap', 0.3] => 'sound',
    ['copper_lead', 3000.0] => 'sound', ['copper_lead', 9000.0] => 'act'
  }.each { |(key, value), verdict| it("says #{verdict} of #{key} #{value}") { expect(judge(key, value).verdict).to eq(verdict) } }

  it 'judges a resistor lead by the metre, and wants its length' do
    expect(judge('lead_per_m', 9000.0, length_m: 0.5).verdict).to eq('sound')
    expect(judge('lead_per_m', 9000.0, length_m: 1.0)).to have_attributes(verdict: 'act', words: /copper lead, or a shorted end/)
    expect { judge('lead_per_m', 9000.0) }.to raise_error(Wattomneum::InvalidQuantityError, /How long/)
  end

  it 'suspects a lead that has twice what its neighbour of like length has' do
    expect(judge('lead_per_m', 11_000.0, length_m: 0.5, neighbours: [10_500.0])).to have_attributes(verdict: 'act', words: /10.5 kohm: suspect/)
    expect(judge('lead_per_m', 10_000.0, length_m: 0.5, neighbours: [10_500.0]).verdict).to eq('sound')
  end

  it 'knows no other figures' do
    expect { judge('colour', 1.0) }.to raise_error(Wattomneum::UnknownKeyError)
  end
end
