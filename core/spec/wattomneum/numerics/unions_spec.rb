# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::Unions do
  it 'joins what was joined to one of them, in whatever order' do
    unions = described_class.new(6)
    [[0, 1], [2, 3], [3, 1], [4, 4]].each { |one, other| unions.join(one, other) }
    expect([unions.with(2), unions.with(4), unions.with(5)]).to eq([[0, 1, 2, 3], [4], [5]])
    expect((0...6).map { |one| unions.of(one) }.uniq.size).to eq(3)
  end
end
