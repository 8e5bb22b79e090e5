# frozen_string_literal: true

RSpec.describe Wattomneum::Numerics::ShortestPath do
  # Every way there is, tried: what the shortest one is held against.
  def cheapest(ways, node, goal, seen = [])
    return 0.0 if node == goal

    ways.fetch(node, []).select { |other, _| seen.none?(other) }
        .map { |other, cost, _| cost + cheapest(ways, other, goal, [*seen, node]) }.min || Float::INFINITY
  end

  def length(ways, came_by, node)
    return 0.0 unless came_by.key?(node)

    way, before = came_by.fetch(node)
    ways.fetch(before).find { |other, _, name| other == node && name == way }[1] + length(ways, came_by, before)
  end

  it 'costs as little as the cheapest of all ways, with and without knowing what lies ahead' do
    random = Random.new(11)
    40.times do
      edges = Array.new(14) { |name| [random.rand(8), random.rand(8), random.rand(1..20).to_f, name] }.reject { |one, other, *| one == other }
      ways = Hash.new { |hash, node| hash[node] = [] }
      edges.each { |one, other, cost, name| ways[one] << [other, cost, name] and ways[other] << [one, cost, name] }
      best = cheapest(ways, 0, 7)
      ahead = described_class.costs([7]) { |node| ways[node].map { |other, cost, name| [other, cost / 2, name] } }
      [->(_) { 0.0 }, ->(node) { ahead.fetch(node, 0.0) }].each do |known|
        goal, came_by = described_class.call(0, [7], ahead: known) { |node| ways[node] }
        expect(goal ? length(ways, came_by, 7) : Float::INFINITY).to eq(best)
      end
    end
  end

  it 'answers nil where nothing leads, and costs from several starts' do
    expect(described_class.call(1, [2]) { [] }.first).to be_nil
    line = { 1 => [[2, 1.0, :a]], 2 => [[1, 1.0, :a], [3, 1.0, :b]], 3 => [[2, 1.0, :b]] }
    expect(described_class.costs([1, 3]) { |node| line[node] }).to eq(1 => 0.0, 2 => 1.0, 3 => 0.0)
  end
end
