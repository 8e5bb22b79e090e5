# frozen_string_literal: true

RSpec.describe Wattomneum::Simulation::StartCircuit do
  def fault(element, ohm) = Wattomneum::Simulation::Fault.new(element: element, kind: 'resistance', amount: ohm)

  def sources(system, milliohm = 4.0)
    system.positions.map { Wattomneum::Batteries::Bank::Source.new(rest_volt: 12.6, resistance_ohm: milliohm / 1000) }
  end

  def solve(system, faults: [], milliohm: 4.0, celsius: 20.0)
    described_class.new(system: system, sources: sources(system, milliohm), new_sources: sources(system), faults: faults,
                        temperature_celsius: celsius).solve
  end

  # ngspice: the bank behind its resistances, each stretch a resistor, the stalled starter its own resistance, headlamps a sink.
  { 0.05 => 'block_strap', 0.11 => 'isolator', 0.3 => 'negative_cable' }.each do |ohm, element|
    it "drops along a stalled start circuit with #{ohm} ohm in the #{element} as ngspice does" do
      system = parallel_pair
      result = solve(system, faults: [fault(element, ohm)])
      stretches = result.stretches_volt.transform_values { |volt| volt / result.current_ampere }
      nodes = ['posts', *(1...stretches.size).map { |i| "n#{i}" }, 'starter']
      cards = ['v1 a 0 12.6', 'r1 a posts 4m', 'v2 b 0 12.6', 'r2 b posts 4m', "rst starter 0 #{0.25 * 12 / 600}"]
      cards += stretches.values.each_with_index.map { |value, i| "rs#{i} #{nodes[i]} #{nodes[i + 1]} #{value}" }
      reference = ngspice(cards, ['v(posts)', 'v(starter)', 'i(v1)'])
      expect(result.current_ampere).to be_within(1e-4).of(-2 * reference['i(v1)'])
      expect(result.posts_volt).to be_within(1e-6).of(reference['v(posts)'] - (described_class::HEADLAMP_AMPERE * 0.002))
      expect(result.stretches_volt.values.sum).to be_within(1e-6).of(reference['v(posts)'] - reference['v(starter)'])
    end
  end

  it 'cranks normally with sound cables and keeps every stretch under its limit' do
    result = solve(parallel_pair)
    expect(result.behaviour).to eq('normal')
    described_class.stretches(parallel_pair).each do |test|
      expect(result.stretches_volt[test.element]).to be < parallel_pair.limit(test.limit).value
    end
  end

  it 'clicks behind a bad joint, is slow behind a worse one than sound, silent without signal' do
    expect(solve(parallel_pair, faults: [fault('block_strap', 0.08)]).behaviour).to eq('click')
    expect(solve(parallel_pair, faults: [fault('block_strap', 0.004)]).behaviour).to eq('slow')
    expect(solve(parallel_pair, faults: [fault('signal_wire', 5.0)]).behaviour).to eq('silent')
  end

  it 'takes more current in the cold' do
    expect(solve(parallel_pair, celsius: -10.0).current_ampere).to be > solve(parallel_pair, celsius: 20.0).current_ampere
  end

  it 'never raises the current by adding resistance to a stalled circuit' do
    currents = [0.05, 0.1, 0.2, 0.8].map { |ohm| solve(parallel_pair, faults: [fault('isolator', ohm)]).current_ampere }
    expect(currents).to eq(currents.sort.reverse)
  end
end
