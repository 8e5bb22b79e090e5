# frozen_string_literal: true

require_relative '../../../../bench/finder/league'
require_relative '../../../../bench/finder/on_a_unit'

# The advice followed blindly on units that behave by other physics than it computes with, people's slips included (bin/bench finder). One fault of
# half of the complaints every day, thirty of each in the long part.
RSpec.describe League, :seeds do
  count = Extent.of(1, 30)
  complaints = Extent.long? ? Shelf::KINDS.keys : Shelf::KINDS.keys.select.with_index { |_, at| Extent.turn?(at % 2) }

  before do
    stub_const('Fleet', Module.new.extend(CoreFixtures))
    stub_const('BlindRuns', BlindRuns.clone.tap { |one| one.extend(one) })
  end

  complaints.each do |complaint|
    it "proves no wrong part and closes over nothing where it is #{complaint}" do
      league = described_class.new(count: count, seed: 3, set: :steady, only: [complaint])
      ends = Array.new(count) { |number| league.one(complaint, number) }
      expect([ends.count(&:wrong), ends.count { |one| one.ended == 'closed with a fault in' }, ends.count { |one| one.ended == 'without end' }])
        .to eq([0, 0, 0])
      expect(ends.count(&:condemned)).to be <= (Extent.long? ? 1 : 0)
      expect(ends.count { |one| one.ended == 'not closed' }).to be <= (Extent.long? ? 1 : 0)
      # A regulator a little off its band is called right, or asked its setpoint; nearly everything else is found.
      least = complaint == 'overcharge' ? 0.6 : 0.8
      expect(ends.count { |one| one.ended == 'right' }).to be >= least * count if Extent.long?
    end
  end
end
