# frozen_string_literal: true

# One solution for a whole run, against the same circuit solved with each fault by itself.
RSpec.describe Wattomneum::Faults::Suspects::Solved do
  core = Wattomneum
  picks = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[start_24v K1 cranking], %w[cluster P1 key_on], %w[ecu_power A1 key_on]]

  # Each hypothesis by itself, what is added in series on top of what the part has.
  def alone(circuit, state, hypothesis, ohms)
    faulty = hypothesis.ohms.to_h do |index, ohm|
      own = circuit.network.branches[index].ohm
      [index, hypothesis.kind == 'series' ? ohms.fetch(index, own) + ohm - own : ohm]
    end
    network = circuit.network_with(hypothesis.extra, ohms: ohms.merge(faulty))
    Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: hypothesis.opened, network: network).fetch(state).solution
  end

  def off_labels(circuit, random)
    passive = circuit.network.branches.each_index.select { |index| circuit.network.branches[index].volt.zero? }
    passive.to_h { |index| [index, circuit.network.branches[index].ohm * (0.9 + (0.2 * random.rand))] }
  end

  it 'gives every point the volts that the fault gives when it is solved by itself, also on a unit off its labels', :seeds do
    random = Random.new(4)
    picks.each do |key, part, situation|
      machine = core::Circuits::Machine.new(core::Circuits::Library.fetch(key))
      table = core::Faults::Suspects::Table.new(machine, machine.sheet.part(part),
                                                state = core::Circuits::Situations.on(machine.sheet, situation).sheet_state)
      circuit = machine.circuit
      nodes = table.scope.nodes
      [{}, off_labels(circuit, random)].each do |off_label|
        solved = described_class.new(circuit, state, nodes, ohms: off_label)
        table.hypotheses.sample(Extent.of(40, 150), random: random).each do |hypothesis|
          solution = alone(circuit, state, hypothesis, off_label)
          wanted = nodes.map { |node| circuit.node(node).then { |at| solution.floating?(at) ? nil : solution.volt(at) } }
          got = solved.volts(hypothesis).map { |volt| volt.nan? ? nil : volt }
          expect(got.map(&:nil?)).to eq(wanted.map(&:nil?)), "#{key} #{hypothesis.kind} #{hypothesis.unit&.key}"
          got.compact.zip(wanted.compact).each { |one, other| expect(one).to be_within(1e-9).of(other) }
        end
      end
    end
  end

  it 'solves a run once for each severity, however many parts it has' do
    machine = core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump'))
    table = core::Faults::Suspects::Table.new(machine, machine.sheet.part('M2'), 'key_on')
    solved = described_class.new(machine.circuit, 'key_on', table.scope.nodes)
    allow(core::Circuits::Solving::SettledStates).to receive(:new).and_call_original
    in_runs = table.hypotheses.select { |one| %w[open series].include?(one.kind) }
    in_runs.each { |one| solved.volts(one) }
    expect(core::Circuits::Solving::SettledStates).to have_received(:new).at_most(in_runs.size / 2).times
  end
end
