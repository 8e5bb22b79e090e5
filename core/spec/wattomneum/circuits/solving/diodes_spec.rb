# frozen_string_literal: true

# Reference: ngspice, see SheetNetlist. Where a source hangs on megohms alone its rounding reaches a microvolt; network_spec.rb holds
# such circuits against exact fractions.
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

  # Rows of two to five diodes, bridges and diodes that keep two feeds apart: what nothing decides before one of them conducts.
  def chain(random, name, length)
    ids = Array.new(length) { |index| "#{name}#{index}" }
    [ids.map { |id| "{ id: #{id}, kind: diode }" }, ids.each_cons(2).map { |one, other| ["#{one}:k", "#{other}:a"] },
     random.rand < 0.5 ? ["#{ids.first}:a", "#{ids.last}:k"] : ["#{ids.last}:k", "#{ids.first}:a"]]
  end

  def bridge(_random, name, _length)
    ids = Array.new(4) { |index| "#{name}#{index}" }
    joints = %W[#{name}P #{name}N #{name}X #{name}Y]
    parts = ids.map { |id| "{ id: #{id}, kind: diode }" } + joints.map { |id| "{ id: #{id}, kind: stud }" }
    ends = [[joints[2], "#{ids[0]}:a"], ["#{ids[0]}:k", joints[0]], [joints[3], "#{ids[1]}:a"], ["#{ids[1]}:k", joints[0]],
            [joints[1], "#{ids[2]}:a"], ["#{ids[2]}:k", joints[2]], [joints[1], "#{ids[3]}:a"], ["#{ids[3]}:k", joints[3]]]
    load = "{ id: #{name}R, kind: resistor, ohm: 47 }"
    [[*parts, load], ends + [[joints[0], "#{name}R:1"], ["#{name}R:2", joints[1]]], [joints[2], joints[3]]]
  end

  # Between joints that one battery, a second one and resistors hang on.
  def structured_sheet(random)
    joints = random.rand(3..7)
    joint = -> { "J#{random.rand(joints)}" }
    pieces = Array.new(random.rand(2..5)) { |index| send(random.rand < 0.3 ? :bridge : :chain, random, "P#{index}D", random.rand(2..5)) }
    resistors = Array.new(random.rand(1..4)) { |index| "R#{index}" }
    parts = Array.new(joints) { |index| "{ id: J#{index}, kind: stud }" } +
            ['{ id: BAT, kind: battery, volt: 12.6, ohm: 0.02 }', '{ id: B2, kind: battery, volt: 7.1, ohm: 3 }'] +
            resistors.map { |id| "{ id: #{id}, kind: resistor, ohm: #{random.rand(1..500)} }" } + pieces.flat_map(&:first)
    ends = [['BAT:+', 'J0'], ['BAT:-', 'J1'], ['B2:+', joint.call], ['B2:-', joint.call],
            *resistors.flat_map { |id| [["#{id}:1", joint.call], ["#{id}:2", joint.call]] },
            *pieces.flat_map { |_, inner, (one, other)| [*inner, [joint.call, one], [other, joint.call]] }]
    sheet_of(parts, ends.each_with_index.map { |(from, to), index| "{ number: #{index}, from: #{from}, to: #{to}, ohm: 0.01 }" })
  end

  it 'agree with ngspice within 1e-6 or 1 microvolt, and every diode obeys its law, rows and bridges included', :seeds do
    random = Random.new(4711)
    count = Extent.of(60, 600)
    forward = Array.new(count) do |run|
      machine = settled(run < count * 2 / 5 ? random_sheet(random) : structured_sheet(random))
      result = machine.fetch('off')
      expect_agreement_with_ngspice(machine.circuit, result, "run #{run}")
      expect(impossible_islands?(machine.circuit, result)).to be(false), "run #{run}: diodes block that cannot all block"
      result.positions.forward.size
    end
    expect(forward.sum).to be > 2.5 * count
  end

  def current_through(rows, wires, item)
    machine = settled(sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.0001 }', *rows], wires))
    machine.fetch('off').solution.current(machine.circuit.item(item).branches.first).abs
  end

  def row_of(count)
    rows = Array.new(count) { |index| "{ id: D#{index}, kind: diode }" } + ['{ id: R, kind: resistor, ohm: 100 }']
    ends = ['BAT:+', *(0...count).flat_map { |index| ["D#{index}:a", "D#{index}:k"] }, 'R:1', 'R:2', 'BAT:-'].each_slice(2)
    current_through(rows, ends.each_with_index.map { |(from, to), index| "{ number: #{index}, from: #{from}, to: #{to}, ohm: 0.0001 }" }, 'R')
  end

  # By hand: (12 - n 0.7 V) / (100 + n 0.1 ohm).
  it 'conduct in a row of two and of five, and not in a row of eighteen, whose forward volts are more than there are' do
    expect(row_of(2)).to be_within(1e-5).of((12 - 1.4) / 100.2)
    expect(row_of(5)).to be_within(1e-5).of((12 - 3.5) / 100.5)
    expect(row_of(18)).to be_within(1e-9).of(0)
  end

  # By hand: two feeds into one coil, each through a diode of its own: the live feed reaches the coil and not the dead one.
  it 'keep two feeds of one coil apart' do
    sheet = sheet_of(['{ id: BAT, kind: battery, volt: 12, ohm: 0.0001 }', '{ id: A, kind: diode }', '{ id: B, kind: diode }',
                      '{ id: K, kind: relay, coil_ohm: 80 }', '{ id: L, kind: load, ohm: 10 }', '{ id: J, kind: splice }'],
                     ['{ number: 1, from: BAT:+, to: A:a, ohm: 0.0001 }', '{ number: 2, from: A:k, to: J, ohm: 0.0001 }',
                      '{ number: 3, from: L:1, to: B:a, ohm: 0.0001 }', '{ number: 4, from: B:k, to: J, ohm: 0.0001 }',
                      '{ number: 5, from: J, to: K:86, ohm: 0.0001 }', '{ number: 6, from: K:85, to: BAT:-, ohm: 0.0001 }',
                      '{ number: 7, from: L:2, to: BAT:-, ohm: 0.0001 }'])
    expect([volts_at(settled(sheet), 'K:86', 'off'), volts_at(settled(sheet), 'L:1', 'off')]).to match([be_within(0.05).of(11.3), 0.0])
  end
end
