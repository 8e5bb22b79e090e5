# frozen_string_literal: true

# What an instrument between two points shows, against ngspice on the same settled circuit with the instrument as one more element.
RSpec.describe Wattomneum::Circuits::Questions::SoundReading do
  keys = %w[fuel_pump heater ecu_power start_24v glow engine_stop]
  meter_ohm = 1e7

  def machine(key) = Wattomneum::Circuits::Machine.new(Wattomneum::Circuits::Library.fetch(key))

  # What hangs on nothing but the meter's own megohms is left out: there ngspice itself is millivolts off.
  # The circuit as it stands with the plug off and the instrument on, by ngspice: volts across the instrument.
  def by_ngspice(machine, from, to, ohm, opened, state)
    circuit = machine.circuit
    one, other = [from, to].map { |node| circuit.node(node) }
    off = circuit.owned.each_index.select { |index| opened.include?(circuit.owned[index].part&.id) && circuit.owned[index].ring_of.nil? }
    extra = Wattomneum::Circuits::Solving::Network::Branch.new(from: one, to: other, ohm: ohm, volt: 0.0)
    result = Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: off, network: circuit.network_with([extra])).fetch(state)
    bare = Wattomneum::Circuits::Solving::SettledStates.new(circuit, opened: off).fetch(state).solution
    return if bare.floating?(one) || bare.floating?(other)

    elements = circuit.network.branches.each_with_index.filter_map do |branch, index|
      next if !result.solution.conducting[index] || result.solution.floating?(branch.from)

      { from: branch.from, to: branch.to, ohm: branch.ohm, volt: branch.volt }
    end
    asked = [one, other].reject(&:zero?).map { |node| "v(n#{node})" }
    found = ngspice(Netlist.cards([*elements, { from: one, to: other, ohm: ohm, volt: 0.0 }]), asked)
    [one, other].map { |node| found.fetch("v(n#{node})", 0.0) }.reduce(:-)
  end

  def picked(machine, random)
    nodes = machine.points.all.map(&:node)
    plug = machine.sheet.parts.grep(Wattomneum::Circuits::Parts::Connector).map(&:id).sample(random: random)
    situation = Wattomneum::Circuits::Situation.of(machine.sheet).sample(random: random)
    [*nodes.sample(2, random: random), random.rand < 0.5 && plug ? [plug] : [], situation]
  end

  # From the solenoid's output back to what feeds its coil: held by a cold filament of 2.7 ohm the coil of 1.4 ohm would keep 8 V, by a hot one
  # of 27 ohm 1.2 V, under the 5 V at which it drops out. So it goes dark, whatever it was tried on with.
  it 'lets no relay hold itself through a cold lamp' do
    probe = Wattomneum::Readings::Probe.new(by: 'lamp', from: 'K1:87', to: 'K2:87', situation: 'fast_idle', opened: [])
    expect(described_class.new(machine('start_24v')).call(probe).observation).to eq('dark')
  end

  Extent.sample(keys, one_in: 2).each do |key|
    it "agrees on two-point readings of #{key}, plugs opened and lamps hung on, in any state" do
      unit = machine(key)
      random = Random.new(RSpec.configuration.seed)
      checked = 40.times.count do
        from, to, opened, situation = picked(unit, random)
        lamp = random.rand < 0.3
        next if from == to

        probe = Wattomneum::Readings::Probe.new(by: lamp ? 'lamp' : 'volts', from: from, to: to, situation: situation.key, opened: opened)
        ohm = lamp ? (unit.sheet.system_volt**2) / 21.0 : meter_ohm
        expected = by_ngspice(unit, from, to, ohm, opened, situation.sheet_state)
        next if expected.nil?

        agrees?(described_class.new(unit).call(probe), expected, unit, "#{key} #{probe.to_h}")
      end
      expect(checked).to be > 10
    end
  end

  def agrees?(shown, expected, unit, words)
    return expect(shown.value).to(be_within(1e-4 + (1e-6 * expected.abs)).of(expected), "#{words} #{shown.value} #{expected}") if shown.value

    ratio = expected.abs / unit.sheet.system_volt
    expect(shown.observation).to eq('bright'), words if ratio > 0.85
    expect(shown.observation).to eq('dark'), words if ratio < 0.02
    true
  end
end
