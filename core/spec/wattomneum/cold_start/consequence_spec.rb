# frozen_string_literal: true

RSpec.describe Wattomneum::ColdStart::Consequence do
  it 'puts what cannot wait before a likelier failure of what another can do' do
    chances = { 'urgent' => 0.3, 'usual' => 0.5, 'spare' => 0.9 }
    expect(chances.sort_by { |matters, chance| -described_class.rank(chance, matters) }.map(&:first)).to eq(%w[urgent usual spare])
  end

  it 'leaves two that matter alike in the order of their chances' do
    described_class::KEYS.each { |key| expect(described_class.rank(0.4, key)).to be > described_class.rank(0.39, key) }
  end
end
