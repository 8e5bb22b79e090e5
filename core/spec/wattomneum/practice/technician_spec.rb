# frozen_string_literal: true

# The whole of core against hidden faults: readings come from the simulated unit, never from the expected verdict.
RSpec.describe Wattomneum::Practice::Technician do
  def joint(item, ohm) = Wattomneum::Practice::Fault.new(item: item, adds_ohm: ohm)

  def work(system, hidden, seed:, work: 'starting', celsius: 12.0)
    unit = Wattomneum::Practice::Unit.new(system: system, faults: [hidden].compact, seed: seed, temperature_celsius: celsius)
    technician = described_class.new(unit, work: work)
    [technician.work, technician, unit]
  end

  # Strap, cable, isolator, clamp: what it mends, by the circuit's own name for it.
  { 'wire strap' => [0.09, 0.02, 0.004], 'wire 5' => [0.08], 'S1' => [0.05, 0.005], 'BAT_A clamp of wire 1' => [0.06], 'wire 4' => [0.07],
    'wire bolts' => [0.05], 'wire 19' => [4.0] }.each do |item, ohms|
    ohms.each do |ohm|
      it "finds #{item} with #{ohm} ohm on a 12 V pair, proves the repair and closes" do
        last, technician, unit = work(parallel_pair, joint(item, ohm), seed: 22)
        expect([last.kind, technician.repairs.size, unit.faults]).to eq(['close', 1, []])
        expect(technician.assessment.missing_to_close).to be_empty
      end
    end
  end

  it 'condemns an open starter from the top of its ladder, and a locked engine before it' do
    open = work(parallel_pair, Wattomneum::Practice::Fault.open('M1'), seed: 1)
    locked = work(parallel_pair, Wattomneum::Practice::UnitFault.new(element: 'engine', kind: 'locked'), seed: 1)
    expect([open, locked].map { |last, technician, unit| [last.kind, technician.repairs.map(&:element), unit.faults] })
      .to eq([['close', ['starter'], []], ['close', ['engine'], []]])
  end

  [1, 22, 333].each do |seed|
    it "finds the failing battery of a 24 V pair and no other (seed #{seed})" do
      weak = Wattomneum::Practice::UnitFault.new(element: 'battery', kind: 'weak', amount: 0.3, position: 'B')
      last, technician, = work(series_pair, weak, seed: seed)
      expect([last.kind, technician.repairs.map { |repair| [repair.element, repair.position] }]).to eq(['close', [%w[battery B]]])
    end

    it "finds nothing wrong on a sound unit and parks it (seed #{seed})" do
      last, technician, = work(series_pair, nil, seed: seed)
      expect([last.kind, technician.repairs]).to eq(['watch', []])
    end
  end

  it 'finds a bad sense wire behind overcharging before the alternator is blamed' do
    last, technician, = work(parallel_pair, joint('wire 34', 0.9), seed: 5, work: 'charging')
    expect([last.kind, technician.repairs.map(&:unit)]).to eq(['close', ['wire 34']])
  end

  it 'is reproducible: the same seed gives the same readings' do
    values = Array.new(2) { work(parallel_pair, joint('S1', 0.05), seed: 7)[1].readings.map(&:spoken) }
    expect(values.first).to eq(values.last)
  end
end
