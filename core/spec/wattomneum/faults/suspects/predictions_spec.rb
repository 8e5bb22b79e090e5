# frozen_string_literal: true

# What a hypothesis predicts, held against ngspice on the circuit with that fault written into it.
RSpec.describe Wattomneum::Faults::Suspects::Predictions do
  picks = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[engine_stop Y5 key_on], %w[start_24v K1 cranking], %w[cluster P1 key_on]]

  def suspects(key, part, situation)
    machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))
    state = Wattomneum::Circuits::Situations.on(machine.sheet, situation).sheet_state
    [machine, Wattomneum::Faults::Suspects::Table.new(machine, machine.sheet.part(part), state), state]
  end

  # The faulty circuit by itself, contacts and diodes as they settle in it.
  def elements(machine, hypothesis, state)
    circuit = Wattomneum::Circuits::Circuit.new(machine.sheet, ohms: hypothesis.ohms)
    network = circuit.network_with(hypothesis.extra)
    solution = Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: hypothesis.opened, network: network).fetch(state).solution
    branches = circuit.network.branches.each_with_index.select { |branch, index| solution.conducting[index] && !solution.floating?(branch.from) }
    (branches.map(&:first) + hypothesis.extra).map { |one| one.to_h.slice(:from, :to, :ohm, :volt) }
  end

  it 'agrees with ngspice for random picks of circuit, situation, hypothesis and probe', :seeds do
    random = Random.new(20_263)
    made = picks.map { |key, part, situation| suspects(key, part, situation) }
    made.each do |machine, table, state|
      predictions = described_class.new(table.work_out)
      table.hypotheses.each_with_index.to_a.sample(Extent.of(4, 30), random: random).each do |hypothesis, index|
        cards = elements(machine, hypothesis, state)
        reached = cards.flat_map { |one| one.values_at(:from, :to) }.uniq
        nodes = table.scope.nodes.select { |node| reached.include?(machine.circuit.node(node)) }.sample(4, random: random)
        expected = ngspice(Netlist.cards(cards), nodes.map { |node| "v(n#{machine.circuit.node(node)})" }.reject { |name| name == 'v(n0)' })
        nodes.each do |node|
          volt = expected.fetch("v(n#{machine.circuit.node(node)})", 0.0)
          shown = described_class.volts(predictions.between(node, machine.sheet.reference).means[index])
          expect(shown).to be_within([volt.abs * 1e-5, 1e-5].max).of(volt), "#{hypothesis.kind} of #{hypothesis.unit&.key}, #{node}"
        end
      end
    end
  end

  it 'knows every part of the scope by at least one hypothesis, and priors that rise with base rate and exposure' do
    machine, table, = suspects('fuel_pump', 'M2', 'key_on')
    hypotheses = table.hypotheses
    parts = machine.repair_units.along(table.scope.indices).reject { |unit| %w[body battery].include?(unit.kind) }
    expect(hypotheses.filter_map(&:unit).uniq).to match_array(parts)
    weights = hypotheses.select { |one| one.kind == 'open' }.to_h { |one| [one.unit.key, one.weight] }
    expect(weights['ring of wire 15 on G9']).to be > weights['wire 15']
    expect(table.scope.consumers.map(&:key)).to eq(%w[M2 K11])
  end

  it 'widens what a tolerance moves, and gives a severity the room to its neighbours' do
    machine, table, = suspects('fuel_pump', 'M2', 'key_on')
    read = described_class.new(table.work_out).between('M2:1', machine.sheet.reference)
    graded = table.hypotheses.each_index.select { |index| table.hypotheses[index].then { |one| one.unit&.key == 'wire 10' && one.kind == 'series' } }
    expect(read.offs.values_at(*graded).max).to be > 0.002
    # More ohms, fewer volts: half a grade takes some away, with its sign.
    expect(read.bands.values_at(*graded)[1..-2]).to all(be <= 0)
    expect(read.means.values_at(*graded).each_cons(2)).to all(satisfy { |one, worse| worse <= one + 1e-9 })
  end

  it 'is read again from the bytes that it was kept as, and from no others' do
    machine, table, state = suspects('fuel_pump', 'M2', 'key_on')
    bytes = table.dump
    again = Wattomneum::Faults::Suspects::Table.new(machine, machine.sheet.part('M2'), state, bytes: bytes)
    expect([again.known?, bytes.bytesize < 1_000_000]).to eq([true, true])
    pairs = table.scope.nodes.map { |node| described_class.new(table).between(node, machine.sheet.reference).means }
    kept = again.scope.nodes.map { |node| described_class.new(again).between(node, machine.sheet.reference).means }
    pairs.flatten.zip(kept.flatten).each { |one, other| expect(other).to be_within(1e-3).of(one) }
    expect(Wattomneum::Faults::Suspects::Table.new(machine, machine.sheet.part('M2'), state, bytes: bytes[0..-5])).not_to be_known
  end
end
