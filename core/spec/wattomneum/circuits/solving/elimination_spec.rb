# frozen_string_literal: true

RSpec.describe Wattomneum::Circuits::Solving::Elimination do
  it 'eliminates every node but the reference, once' do
    plan = described_class.new(6, [[1, 0], [1, 2], [2, 3], [3, 4], [4, 5], [5, 1]])
    expect(plan.steps.map(&:node)).to contain_exactly(1, 2, 3, 4, 5)
  end

  it 'takes nodes with the fewest neighbours first, so that a star fills nothing in' do
    star = (1..8).map { |node| [node, 9] } + [[9, 0]]
    plan = described_class.new(10, star)
    expect(plan.steps.last(2).map(&:node)).to include(9)
    expect(plan.slot_count).to eq(star.size)
  end

  it 'gives one slot to two branches side by side, and none to a branch from a node to itself' do
    plan = described_class.new(3, [[1, 2], [2, 1], [1, 1], [2, 0]])
    expect(plan.slot(1, 2)).to eq(plan.slot(2, 1))
    expect { plan.slot(1, 1) }.to raise_error(KeyError)
  end
end
