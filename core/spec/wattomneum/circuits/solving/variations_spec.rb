# frozen_string_literal: true

# Reference: the same network put together anew and eliminated from the first node, and ngspice. Rank-one updates, the textbook's way to do
# this, take sums away from each other and lose their digits where a milliohm opens; here the outcome must be the same to the last bit.
RSpec.describe Wattomneum::Circuits::Solving::Variations do
  include Ngspice
  include SheetFixtures

  network_class = Wattomneum::Circuits::Solving::Network

  def branch(from, to, ohm, volt = 0.0) = Wattomneum::Circuits::Solving::Network::Branch.new(from: from, to: to, ohm: ohm, volt: volt)

  # From 0.1 milliohm to 10 megohm, some side by side, some in parts that nothing leads to.
  def random_branches(random, nodes)
    tree = (1...nodes).map { |node| [node, node < 3 ? 0 : random.rand(node)] }
    more = Array.new(nodes / 2) { [random.rand(nodes), random.rand(nodes)] } + tree.sample(4, random: random)
    passive = (tree + more).map { |one, other| branch(one, other, 10**((random.rand * 11) - 4)) }
    [branch(1, 0, 0.004, 25.2), branch(2, 0, 0.01, 12.6), branch(random.rand(1...nodes), 0, 50.0, 5.0), *passive]
  end

  def changes(random, branches, nodes)
    passive = branches.each_index.select { |index| branches[index].volt.zero? }
    { ohms: passive.sample(random.rand(3), random: random).to_h { |index| [index, 10**((random.rand * 8) - 4)] },
      extra: Array.new(random.rand(2)) { branch(random.rand(1...nodes), 0, 10**((random.rand * 5) - 3)) } }
  end

  def volts(solution, nodes) = (0...nodes).map { |node| solution.floating?(node) ? nil : solution.volt(node) }

  it 'solves 400 variations of 40 random networks as put together anew, to the last bit' do
    random = Random.new(8)
    40.times do
      nodes = random.rand(15..90)
      network = network_class.new(nodes, branches = random_branches(random, nodes), spare: (1...nodes).map { |node| [node, 0] })
      variations = described_class.new(network)
      10.times do
        changed = changes(random, branches, nodes)
        conducting = Array.new(branches.size) { random.rand > 0.1 }
        opened, leaking = Array.new(2) { (3...branches.size).to_a.sample(2, random: random) }
        closed = conducting + ([true] * changed[:extra].size)
        got = variations.with(**changed).solve(closed, opened: opened, leaking: leaking - opened)
        anew = network.altered(changed[:ohms]).with(changed[:extra]).solve(closed, opened: opened, leaking: leaking - opened)
        expect(volts(got, nodes)).to eq(volts(anew, nodes))
        expect(got.conducting).to eq(anew.conducting)
        one, other = Array.new(2) { random.rand(nodes) }
        expect(got.connected?(one, other)).to be(anew.connected?(one, other))
      end
    end
  end

  it 'agrees with ngspice within 1e-6 or 1 microvolt after a milliohm opened, a joint corroded and a wire rubbed through' do
    random = Random.new(9)
    20.times do |run|
      nodes = random.rand(20..60)
      branches = random_branches(random, nodes)
      variations = described_class.new(network_class.new(nodes, branches, spare: (1...nodes).map { |node| [node, 0] }))
      short = branch(random.rand(3...nodes), 0, 0.02)
      corroded, opened = (3...branches.size).to_a.sample(2, random: random)
      solution = variations.with(ohms: { corroded => 0.35 }, extra: [short]).solve([true] * (branches.size + 1), opened: [opened])
      now = branches.each_with_index.map { |one, index| index == corroded ? branch(one.from, one.to, 0.35) : one }.push(short)
      there = now.each_with_index.reject { |one, index| index == opened || one.from == one.to || solution.floating?(one.from) }.map(&:first)
      heard = there.flat_map { |one| [one.from, one.to] }.uniq - [0]
      read = ngspice(Netlist.cards(there.map(&:to_h)), heard.map { |node| "v(n#{node})" })
      heard.each do |node|
        expected = read.fetch("v(n#{node})")
        expect(solution.volt(node)).to be_within([expected.abs * 1e-6, 1e-6].max).of(expected), "network #{run}, node #{node}"
      end
    end
  end

  it 'keeps 1 kohm between two points of a floating part when a bridge beside it opens' do
    floating = [branch(1, 2, 1000.0), branch(2, 3, 0.001), branch(3, 1, 0.001), branch(3, 1, 1.0, 0.001)]
    variation = described_class.new(network_class.new(4, floating)).with
    [[], [1], [2]].each do |opened|
      solution = variation.solve([true] * 4, opened: opened)
      expect([1, 2, 3].map { |node| solution.floating?(node) }).to all(be(true))
      expect(solution.volt(1) - solution.volt(2)).to be_within(1e-12).of(1000.0 * solution.current(0))
    end
  end

  it 'takes a source of other volts, and a wire across the machine, by another order of elimination' do
    network = network_class.new(4, [branch(1, 0, 0.01, 12.0), branch(1, 2, 1.0), branch(2, 3, 1.0), branch(3, 0, 1.0)])
    variations = described_class.new(network)
    expect(variations.with(ohms: { 0 => 1.0 }).solve([true] * 4).volt(1)).to be_within(1e-9).of(9.0)
    expect(variations.with(extra: [branch(1, 3, 1.0)]).solve([true] * 5).volt(3)).to be_within(1e-9).of(12.0 / (0.01 + (2.0 / 3.0) + 1.0))
  end

  it 'keeps no more positions of contacts than it may' do
    network = network_class.new(12, (1..11).map { |node| branch(node, node - 1, 1.0) })
    variations = described_class.new(network)
    closed = Array.new(2 * described_class::MOST_KEPT) { |at| Array.new(11) { |bit| at[bit].zero? } }
    closed.each { |conducting| variations.with.solve(conducting) }
    expect(variations.instance_variable_get(:@kept).size).to eq(described_class::MOST_KEPT)
  end
end
