# frozen_string_literal: true

# What a hypothesis predicts, held against ngspice on the circuit with that fault written into it.
RSpec.describe Wattomneum::Faults::Suspects::Predictions do
  picks = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[engine_stop Y5 key_on], %w[start_24v K1 cranking], %w[cluster P1 key_on]]

  def suspects(key, part, situation)
    machine = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))
    state = Wattomneum::Circuits::Situations.on(machine.sheet, situation).sheet_state
    scope = Wattomneum::Faults::Suspects::Scope.new(machine, machine.sheet.part(part), state)
    hypotheses = Wattomneum::Faults::Suspects::Hypotheses.new(machine, scope).all
    [machine, scope, hypotheses, state]
  end

  # The faulty circuit by itself, contacts and diodes as they settle in it.
  def elements(machine, hypothesis, state)
    circuit = Wattomneum::Circuits::Circuit.new(machine.sheet, ohms: hypothesis.ohms)
    solution = Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: hypothesis.opened, extra: hypothesis.extra).fetch(state).solution
    branches = circuit.network.branches.each_with_index.select { |branch, index| solution.conducting[index] && !solution.floating?(branch.from) }
    (branches.map(&:first) + hypothesis.extra).map { |one| one.to_h.slice(:from, :to, :ohm, :volt) }
  end

  it 'agrees with ngspice for 300 random picks of circuit, situation, hypothesis and probe' do
    random = Random.new(20_263)
    made = picks.map { |key, part, situation| suspects(key, part, situation) }
    made.each do |machine, scope, hypotheses, state|
      chosen = hypotheses.sample(15, random: random)
      predictions = described_class.new(machine, chosen, state)
      chosen.each_with_index do |hypothesis, index|
        cards = elements(machine, hypothesis, state)
        reached = cards.flat_map { |one| one.values_at(:from, :to) }.uniq
        nodes = scope.nodes.select { |node| reached.include?(machine.circuit.node(node)) }.sample(4, random: random)
        expected = ngspice(Netlist.cards(cards), nodes.map { |node| "v(n#{machine.circuit.node(node)})" }.reject { |name| name == 'v(n0)' })
        nodes.each do |node|
          volt = expected.fetch("v(n#{machine.circuit.node(node)})", 0.0)
          shown = Math.sinh(predictions.between(node, machine.sheet.reference).means[index]) * described_class::SCALE_VOLT
          expect(shown).to be_within([volt.abs * 1e-5, 1e-5].max).of(volt), "#{hypothesis.kind} of #{hypothesis.unit&.key}, #{node}"
        end
      end
    end
  end

  it 'knows every part of the scope by at least one hypothesis, and priors that rise with base rate and exposure' do
    machine, scope, hypotheses, = suspects('fuel_pump', 'M2', 'key_on')
    parts = machine.repair_units.along(scope.indices).reject { |unit| %w[body battery].include?(unit.kind) }
    expect(hypotheses.filter_map(&:unit).uniq).to match_array(parts)
    weights = hypotheses.select { |one| one.kind == 'open' }.to_h { |one| [one.unit.key, one.weight] }
    expect(weights['ring of wire 15 on G9']).to be > weights['wire 15']
    expect(scope.consumers.map(&:key)).to eq(%w[M2 K11])
  end

  it 'widens what a tolerance moves, and gives a severity the room to its neighbours' do
    machine, _, hypotheses, state = suspects('fuel_pump', 'M2', 'key_on')
    graded = hypotheses.select { |one| one.unit&.key == 'wire 10' && one.kind == 'series' }
    read = described_class.new(machine, graded, state).between('M2:1', machine.sheet.reference)
    expect(read.offs.max).to be > 0.002
    # More ohms, fewer volts: half a grade takes some away, with its sign.
    expect(read.bands[1..-2]).to all(be <= 0)
    expect(read.means.each_cons(2)).to all(satisfy { |one, worse| worse <= one + 1e-9 })
  end
end
