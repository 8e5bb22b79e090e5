# frozen_string_literal: true

# Judged by the machine settled with the fault from its first key state on, where nothing is taken over.
RSpec.describe Wattomneum::Circuits::Solving::Onset do
  core = Wattomneum::Circuits

  def anew(circuit, opened: [], extra: [])
    Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: opened, network: circuit.network_with(extra))
  end

  # Positions to the letter; volts within what the net that touches metal may carry.
  def expect_alike(faulty, sound, circuit, name)
    expect(faulty.positions.to_h.slice(:energised, :blown)).to eq(sound.positions.to_h.slice(:energised, :blown)), name
    nodes = circuit.names.each_index.reject { |node| [faulty, sound].any? { |one| one.solution.floating?(node) } }
    expect(nodes.map { |node| (faulty.solution.volt(node) - sound.solution.volt(node)).abs }.max).to be < 1e-3, name
  end

  %w[fuel_pump start_24v ecu_power cluster].each do |key|
    it "says from which key state on each branch of #{key} is missed, and each short felt" do
      circuit = core::Machine.new(core::Library.fetch(key)).circuit
      onset = described_class.new(sound = anew(circuit))
      states = circuit.sheet.states.keys
      circuit.network.branches.each_with_index do |branch, index|
        ground = core::Solving::Network::Branch.new(from: branch.from, to: 0, ohm: 0.05, volt: 0.0)
        [[onset.of(branches: [index]), anew(circuit, opened: [index])],
         [onset.of(shorted: [branch.from]), anew(circuit, extra: branch.from.zero? ? [] : [ground])]].each do |first, faulty|
          states.first(first || states.size).each do |state|
            expect_alike(faulty.fetch(state), sound.fetch(state), circuit, "#{circuit.describe(index)}, #{state}")
          end
        end
      end
    end
  end

  it 'passes over the states in which the key is off' do
    machine = core::Machine.new(core::Library.fetch('fuel_pump'))
    onset = described_class.new(machine.settled)
    motor = machine.circuit.owned.index { |one| one.part&.id == 'M2' && one.ring_of.nil? }
    first = onset.of(branches: [motor])
    expect(machine.sheet.states.keys[first]).to eq('key_on')
    expect(onset.before(first).keys).to eq(machine.sheet.states.keys.first(first))
  end
end
