# frozen_string_literal: true

# One reading that was misread or written down wrongly mends nothing.
RSpec.describe Wattomneum::Faults::Paths::Borne do
  core = Wattomneum
  pump = core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump'))
  table = core::Faults::Suspects::Table.new(pump, pump.sheet.part('M2'), 'key_on')
  let(:machine) { pump }

  def step_after(readings, table: nil)
    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    points = readings.each_with_index.map do |(by, from, to, shown), at|
      probe = Wattomneum::Readings::Probe.new(by: by, from: from, to: to, situation: 'key_on')
      said = shown.is_a?(String) ? { observation: shown } : { value: shown }
      Wattomneum::Readings::PointReading.new(id: "p#{at}", probe: probe, taken_at: at, **said)
    end
    Wattomneum::Faults::Assessment.new(system: series_pair, readings: [], points: points, machine: machine, symptom: symptom, table: table).next_step
  end

  dead = [['seen', 'M2:1', 'M2:2', 'dead'], ['volts', 'BAT:+', 'BAT:-', 25.2], ['volts', 'M2:1', 'M2:2', 0.0]].freeze

  it 'asks for a lone drop once more, and believes it when it shows the same twice' do
    drop = ['volts', 'K11:30', 'K11:87', 25.1]
    coil = ['volts', 'K11:86', 'K11:85', 24.6]
    step = step_after([*dead, coil, drop])
    expect([step.kind, step.probe.from, step.why]).to match(['repeat', 'K11:30', /One reading alone/])
    expect(step_after([*dead, coil, drop, drop])).to have_attributes(kind: 'repair', unit: 'K11')
  end

  it 'believes a drop that the volts on either side bear out' do
    sides = [['volts', 'K11:30', 'BAT:-', 25.1], ['volts', 'K11:87', 'BAT:-', 0.02]]
    expect(step_after([*dead, ['volts', 'K11:86', 'K11:85', 24.6], *sides, ['volts', 'K11:30', 'K11:87', 25.1]])).to have_attributes(unit: 'K11')
  end

  # Nothing flows where a run is open: a part of the volts across a sound splice is a slip of the pen.
  it 'does not believe what all else that was read speaks against, by belief' do
    fed = [*dead, ['volts', 'M2:1', 'BAT:-', 0.0], ['volts', 'K11:87', 'BAT:-', 25.1]]
    step = step_after([*fed, ['volts', 'X8:a/1', 'X8:b/1', 7.3]], table: table)
    expect([step.kind, step.probe.from]).to eq(['repeat', 'X8:a/1'])
    # All of them there, and everything before it is whole: straight across it says what was expected.
    both = [*fed, ['volts', 'X8:a/1', 'BAT:-', 25.1], ['volts', 'X8:b/1', 'BAT:-', 0.0]]
    expect(step_after([*both, ['volts', 'X8:a/1', 'X8:b/1', 25.1]], table: table)).to have_attributes(kind: 'repair', unit: 'X8 pin 1')
  end

  # One of the first eight readings is something else than what the meter showed.
  it 'mends nothing sound for one wrong entry, by belief and by the order of work', :aggregate_failures, :seeds do
    random = Random.new(5)
    items = table.scope.indices.filter_map { |index| machine.circuit.items.find { |item| item.branches == [index] } }
    items.reject! { |item| %w[body battery].include?(machine.repair_units.of(item.branches.first).kind) }
    items.sample(Extent.of(4, 40), random: random).each_with_index.to_a.product([table, nil]) do |(item, seed), known|
      truth = core::Practice::Truth.new(sheet: machine.sheet, faults: [core::Practice::Fault.open(item.key)], seed: seed)
      next if truth.works?('M2', 'key_on')

      wrong = Mistaken.new(truth, 24.0, seed) { |count| count == (seed % 8) + 1 }
      symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
      done = BlindTechnician.new(sheet: machine.sheet, truth: wrong, symptom: symptom, system: series_pair, table: known)
                            .work(stop_at: %w[repair condemn])
      guilty = machine.repair_units.along(item.branches).map(&:key)
      expect(guilty).to include(done.last.unit), "#{item.key}: #{done.trail.join("\n")}" if done.last.unit
    end
  end
end
