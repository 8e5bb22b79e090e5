# frozen_string_literal: true

# The whole of core against hidden faults: readings come from the simulated unit, never from the expected verdict.
RSpec.describe Wattomneum::Practice::Technician do
  def fault(element, kind, amount = nil, position = nil)
    Wattomneum::Practice::UnitFault.new(element: element, kind: kind, amount: amount, position: position)
  end

  def work(system, hidden, seed:, family: 'starting', celsius: 12.0)
    unit = Wattomneum::Practice::Unit.new(system: system, faults: [hidden].compact, seed: seed, temperature_celsius: celsius)
    technician = described_class.new(unit, work: family)
    [technician.work, technician, unit]
  end

  starting = {
    'block_strap' => [['resistance', 0.09], ['resistance', 0.02], ['resistance', 0.004]],
    'negative_cable' => [['resistance', 0.08]], 'isolator' => [['resistance', 0.05], ['resistance', 0.005]],
    'positive_clamp' => [['resistance', 0.06]], 'starter_cable' => [['resistance', 0.07]],
    'starter_mount' => [['resistance', 0.05]], 'starter' => [['open', 0]], 'signal_wire' => [['resistance', 4.0]],
    'engine' => [['locked', 0]]
  }
  starting.each do |element, kinds|
    kinds.each do |kind, amount|
      [1, 22, 333].each do |seed|
        it "finds #{element} #{kind} #{amount} on a 12 V pair, proves the repair and closes (seed #{seed})" do
          last, technician, unit = work(parallel_pair, fault(element, kind, amount), seed: seed)
          expect([last.kind, technician.repairs.map(&:element), unit.faults]).to eq(['close', [element], []])
          expect(technician.assessment.missing_to_close).to be_empty
        end
      end
    end
  end

  [1, 22, 333].each do |seed|
    it "finds the failing battery of a 24 V pair and no other (seed #{seed})" do
      last, technician, = work(series_pair, fault('battery', 'weak', 0.3, 'B'), seed: seed)
      expect([last.kind, technician.repairs.map { |repair| [repair.element, repair.position] }]).to eq(['close', [%w[battery B]]])
    end

    it "finds the bad cable of a unit without isolator (seed #{seed})" do
      last, technician, = work(single_battery, fault('positive_cable', 'resistance', 0.1), seed: seed)
      expect([last.kind, technician.repairs.map(&:element)]).to eq(%w[close positive_cable].then { |kind, element| [kind, [element]] })
    end

    it "finds nothing wrong on a sound unit and parks it (seed #{seed})" do
      last, technician, = work(series_pair, nil, seed: seed)
      expect([last.kind, technician.repairs]).to eq(['watch', []])
    end
  end

  %w[alternator excitation_wire output_cable belt].each do |element|
    it "finds a dead #{element} behind a charging complaint" do
      last, technician, = work(parallel_pair, fault(element, 'dead'), seed: 5, family: 'charging')
      expect([last.kind, technician.repairs.map(&:element)]).to eq(['close', [element]])
    end
  end

  it 'finds a bad sense wire behind overcharging before the alternator is blamed' do
    last, technician, = work(parallel_pair, fault('sense_wire', 'resistance', 0.9), seed: 5, family: 'charging')
    expect([last.kind, technician.repairs.map(&:element)]).to eq(['close', ['sense_wire']])
  end

  it 'is reproducible: the same seed gives the same readings' do
    values = Array.new(2) { work(parallel_pair, fault('isolator', 'resistance', 0.05), seed: 7)[1].readings.map(&:spoken) }
    expect(values.first).to eq(values.last)
  end
end
