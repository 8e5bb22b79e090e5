# frozen_string_literal: true

# How sure it is that what was mended was the cause (common practice).
RSpec.describe Wattomneum::Faults::Experiments do
  core = Wattomneum

  sheet = core::Circuits::Library.fetch('fuel_pump')
  machine = core::Circuits::Machine.new(sheet)
  plug = 'X8 pin 2'

  define_method(:point) do |at, value, from: 'X8:a/2', to: 'X8:b/2', round: 0, **rest|
    probe = core::Readings::Probe.new(by: 'volts', from: from, to: to, situation: 'key_on')
    core::Readings::PointReading.new(id: "p#{at}", probe: probe, taken_at: at, value: value, round: round, **rest)
  end

  define_method(:mended) { |unit, id = 'm1', before: 'p2'| core::Jobs::Repair.new(id: id, unit: unit, failing_reading_id: before, temporary: false) }

  # The pump draws its current again after the repair.
  let(:failing) { [point(1, 25.3, from: 'BAT:+', to: 'BAT:-'), point(2, -25.2)] }
  let(:running) { [point(10, 25.2, from: 'BAT:+', to: 'BAT:-', round: 1), point(11, 24.3, from: 'M2:1', to: 'M2:2', round: 1)] }
  let(:sound) { point(12, -0.004, round: 1) }

  define_method(:known) do |*points, repairs: [mended(plug)]|
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    core::Faults::Assessment.new(system: series_pair, readings: [], points: points, machine: machine, symptom: symptom, repairs: repairs)
  end

  def cause(assessment, *changes) = described_class.new(assessment, changes).causes.first

  it 'is isolated when a reading straight across it convicted it and nothing else was changed' do
    one = cause(known(*failing, *running, sound))
    expect([one.rung, one.full_weight?]).to eq(['isolated', true])
  end

  it 'is one of several when a plug was off and on again, or two things were mended, before the sound reading' do
    reseated = core::Jobs::Change.new(what: 'K11, off and back on', at: 5)
    one = cause(known(*failing, *running, sound), reseated)
    expect([one.rung, one.full_weight?, one.words]).to match(['confounded', false, /\AOne of 2: X8 pin 2; K11, off and back on\. /])
    both = [*failing, *running.map do |old|
      point(old.taken_at, old.value, from: old.probe.from, to: old.probe.to, round: 2)
    end, point(12, -0.004, round: 2)]
    two = cause(known(*both, repairs: [mended(plug), mended('wire 13', 'm2')]))
    expect(two.words).to match(/\AOne of 2: X8 pin 2; wire 13\b/i)
  end

  it 'counts no change before the fault was read or after it was gone' do
    [1, 30].each do |at|
      expect(cause(known(*failing, *running, sound), core::Jobs::Change.new(what: 'K11, off and back on', at: at)).rung).to eq('isolated')
    end
  end

  it 'is supported by timing only where no reading showed the fault straight across it' do
    one = cause(known(*failing, *running, sound, repairs: [mended('wire 13')]))
    expect([one.rung, one.full_weight?]).to eq(['timing', false])
  end

  it 'is nothing yet while the repair is not proved' do
    expect(cause(known(*failing)).rung).to be_nil
  end

  describe 'undone and redone' do
    let(:undone) { point(20, -25.2, round: 1, conditions: { 'repair_undone' => 'yes' }) }
    let(:redone) { point(21, -0.004, round: 1) }

    it 'is the surest, once it failed undone and is sound again' do
      expect(cause(known(*failing, *running, sound, undone, redone)).rung).to eq('undone_and_redone')
    end

    it 'owes the proof again until it is redone, and says nothing of the unit as it is' do
      half = known(*failing, *running, sound, undone)
      expect(half.proofs.first.state).to eq('missing')
      expect(half.missing_to_close.first).to start_with('Repeat volts, X8:a/2 to X8:b/2')
      expect(half.next_step.kind).to eq('prove')
      expect(half.paths.readings).not_to include(undone)
    end

    it 'is no proof where it stayed sound undone' do
      kept = point(20, -0.004, round: 1, conditions: { 'repair_undone' => 'yes' })
      expect(cause(known(*failing, *running, sound, kept, redone)).rung).to eq('isolated')
    end
  end
end
