# frozen_string_literal: true

# Reference: ngspice on the linear circuit that the diodes' directions leave, and the diodes' own law held against its volts: what
# conducts carries no current backwards, what blocks sees no more than its forward volts. Together that is the one solution there is.
# (ngspice's own search does not end on many of these, and where a source hangs on megohms alone its rounding reaches a microvolt;
# network_spec.rb holds such circuits against exact fractions.) Left out by rule: what floats.
RSpec.describe 'Random circuits with diodes' do # rubocop:disable RSpec/DescribeClass -- network, switching and reader together
  include Ngspice

  # Components hang between joints; a tree of wires keeps most of it together, two parts may float.
  def random_sheet(random)
    joints = random.rand(4..14)
    joint = -> { "J#{random.rand(joints)}" }
    ohm = -> { format('%.6f', 10**((random.rand * 6) - 2)) }
    parts = Array.new(joints) do |index|
      "{ id: J#{index}, kind: stud }"
    end + ['{ id: BAT, kind: battery, volt: 12.6, ohm: 0.02 }', '{ id: B2, kind: battery, volt: 7.1, ohm: 3 }']
    kinds = Array.new(random.rand(6..24)) { |index| random.rand < 0.45 ? ["D#{index}", 'diode', 'a', 'k'] : ["R#{index}", 'resistor', '1', '2'] }
    parts += kinds.map { |id, kind, _, _| kind == 'diode' ? "{ id: #{id}, kind: diode }" : "{ id: #{id}, kind: resistor, ohm: #{ohm.call} }" }
    ends = kinds.flat_map { |id, _, one, other| [[joint.call, "#{id}:#{one}"], ["#{id}:#{other}", joint.call]] }
    tree = (1...joints).reject { |index| index % 7 == 6 }.map { |index| ["J#{index}", "J#{random.rand(index)}"] }
    fixed = [['BAT:+', 'J0'], ['BAT:-', 'J1'], ['B2:+', joint.call], ['B2:-', joint.call]]
    wires = (fixed + tree + ends).each_with_index.map { |(from, to), index| "{ number: #{index}, from: #{from}, to: #{to}, ohm: #{ohm.call} }" }
    sheet_of(parts, wires)
  end

  # The volts that ngspice finds for every node that is not left out.
  def reference(machine, result)
    circuit = machine.circuit
    linear = circuit.owned.each_index.filter_map do |index|
      branch = circuit.network.branches[index]
      next if !result.solution.conducting[index] || result.solution.floating?(branch.from)

      { from: branch.from, to: branch.to, ohm: branch.ohm, volt: branch.volt }
    end
    nodes = linear.flat_map { |one| one.values_at(:from, :to) }.uniq - [0]
    found = ngspice(Netlist.cards(linear), nodes.map { |node| "v(n#{node})" })
    nodes.to_h { |node| [node, found.fetch("v(n#{node})")] }.merge(0 => 0.0)
  end

  def backwards(machine, result, volts)
    diodes = machine.circuit.owned.each_index.select { |index| machine.circuit.owned[index].branch.gate == :forward }
    diodes.select do |index|
      branch = machine.circuit.network.branches[index]
      next unless volts.key?(branch.from) && volts.key?(branch.to)

      over = volts[branch.from] - volts[branch.to] - branch.volt
      result.solution.conducting[index] ? over < -1e-6 : over > 1e-6
    end
  end

  it 'agree with ngspice within 1e-6 or 1 microvolt, and every diode obeys its law, 80 of them' do
    random = Random.new(4711)
    forward = 0
    80.times do |run|
      machine = settled(random_sheet(random))
      result = machine.fetch('off')
      volts = reference(machine, result)
      volts.each do |node, expected|
        expect(result.solution.volt(node)).to be_within([expected.abs * 1e-6, 1e-6].max).of(expected), "run #{run}, #{machine.circuit.names[node]}"
      end
      expect(backwards(machine, result, volts)).to be_empty, "run #{run}"
      forward += result.positions.forward.size
    end
    expect(forward).to be > 80
  end
end
