# frozen_string_literal: true

# Within 5 s unless the unit says otherwise: handbook, from memory.
RSpec.describe Wattomneum::Stopping::Trial do
  { ['stopped', 2.0] => 'sound', ['stopped', 5.0] => 'sound', ['stopped', nil] => 'sound', ['stopped', 5.1] => 'watch', ['ran_on', nil] => 'act',
    ['ran_on', 2.0] => 'act' }.each do |(outcome, seconds), verdict|
    it("is #{verdict} where it #{outcome.tr('_', ' ')} #{seconds && "in #{seconds} s"}") {
      expect(described_class.new(outcome, seconds).verdict).to eq(verdict)
    }
  end

  it 'goes by what the fleet has set' do
    own = Wattomneum::Limits::Table.shipped.with('stop.seconds_most' => 9.0)
    expect(described_class.new('stopped', 8.0, limits: own).verdict).to eq('sound')
    expect(described_class.new('stopped', 8.0).words).to include('5 s at most')
  end

  it 'says what was late, with a figure that a fleet has set, and nothing where nothing was' do
    own = Wattomneum::Limits::Table.shipped.with('stop.seconds_most' => 7.25)
    expect(described_class.new('stopped', 8.0, limits: own).words).to eq('late: 7.2 s at most; a remote fuel valve may take longer')
    expect([described_class.new('stopped', 2.0), described_class.new('ran_on', 9.0)].map(&:words)).to eq([nil, nil])
  end
end
