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

  it 'agree with ngspice within 1e-6 or 1 microvolt, and every diode obeys its law, 80 of them' do
    random = Random.new(4711)
    forward = Array.new(80) do |run|
      machine = settled(random_sheet(random))
      result = machine.fetch('off')
      expect_agreement_with_ngspice(machine.circuit, result, "run #{run}")
      result.positions.forward.size
    end
    expect(forward.sum).to be > 160
  end
end
