# frozen_string_literal: true

# "No change after the repair": common practice, a second fault or a plug left off hides the cure.
RSpec.describe Wattomneum::Faults::Paths::Finishing do
  core = Wattomneum
  machine = core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump'))

  # A plug pin that was open, mended, its drop cured.
  cured = [['seen', 'M2:1', 'M2:2', 'dead', 0], ['volts', 'BAT:+', 'BAT:-', 25.2, 0], ['volts', 'X8:a/2', 'X8:b/2', -25.1, 0],
           ['volts', 'BAT:+', 'BAT:-', 25.2, 1], ['volts', 'M2:1', 'M2:2', 24.3, 1], ['volts', 'X8:a/2', 'X8:b/2', -0.004, 1]].freeze

  define_method(:step_after) do |*seen, off: 0|
    rows = cured + seen.map { |word| ['seen', 'M2:1', 'M2:2', word, 1] }
    points = rows.each_with_index.map do |(by, from, to, shown, round), at|
      probe = core::Readings::Probe.new(by: by, from: from, to: to, situation: 'key_on')
      core::Readings::PointReading.new(id: "p#{at}", probe: probe, taken_at: at, round: round,
                                       **(shown.is_a?(String) ? { observation: shown } : { value: shown }))
    end
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    repair = core::Jobs::Repair.new(id: 'm1', unit: 'X8 pin 2', failing_reading_id: 'p2', temporary: false)
    core::Faults::Assessment.new(system: series_pair, readings: [], points: points, machine: machine, symptom: symptom, repairs: [repair],
                                 disturbed_count: off).next_step
  end

  it 'sees it work, then closes' do
    expect(step_after.probe.by).to eq('seen')
    expect(step_after('works').kind).to eq('close')
  end

  it 'takes no change for neither guilt nor cure: what is off goes back first, then it is seen once more' do
    step = step_after('dead', off: 2)
    expect([step.kind, step.title, step.why]).to match(['put_back', /then see it again/, /neither convicts nor clears.*2 still off/])
    step = step_after('dead')
    expect([step.kind, step.probe.by, step.why]).to match(['repeat', 'seen', /hides the cure/])
  end

  it 'goes on looking where it was seen to fail twice' do
    step = step_after('dead', 'dead')
    expect([step.probe.by, step.probe.from, step.title]).to match(['volts', 'M2:1', /in one moment/])
  end
end
