# frozen_string_literal: true

require_relative '../../../support/blind_technician'

# A fuse that blows is followed to the run of wire that is rubbed through, wherever it hangs on that fuse, before a new one goes in.
RSpec.describe Wattomneum::Faults::Paths::ShortSearch do
  def library(key) = Wattomneum::Circuits::Library.fetch(key)
  def system_of(sheet) = sheet.system_volt == 24 ? series_pair : single_battery
  def symptom(part, state) = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: state, seen: 'dead')

  # @return [BlindTechnician, nil] who has followed it to the first mend; nil where the short keeps nothing from working
  def followed(sheet, part, wire, state: 'key_on')
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [Wattomneum::Practice::Fault.short("wire #{wire}", 0.4)], seed: 5)
    return if truth.works?(part, state)

    BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom(part, state), system: system_of(sheet)).work(stop_at: %w[repair condemn])
  end

  # Short with both wires in the plug, OL with either out of it.
  def ohms_at_the_plug(off, taken_at)
    probe = Wattomneum::Readings::Probe.new(by: 'ohms', from: 'X8:b/1', to: 'BAT:-', situation: 'isolator_open',
                                            opened: [*off, 'F15', 'M2', 'B12', 'X8'])
    Wattomneum::Readings::PointReading.new(id: "p#{taken_at}", probe: probe, taken_at: taken_at, value: off.empty? ? 0.4 : nil, overload: off.any?)
  end

  { 'fuel_pump' => 'M2', 'engine_stop' => 'Y5', 'heater' => 'U3' }.each_with_index do |(key, part), index|
    it "finds every wire that, rubbed through, keeps #{part} of #{key} from working", :seeds, if: Extent.turn?(index) do
      sheet = library(key)
      runs = sheet.wires.to_h { |wire| [wire.number, followed(sheet, part, wire.number)] }.compact
      expect(runs.size).to be >= 5
      expect(runs.transform_values { |run| run.last.unit }).to eq(runs.keys.to_h { |number| [number, "wire #{number}"] })
    end
  end

  it 'takes one wire out of the pin that two share, says so, and asks for the proof between the same points' do
    run = followed(library('fuel_pump'), 'M2', '11')
    expect(run.trail.last(3).first).to end_with('wire 11 out of X8:b/1')
    proving = run.readings.find { |one| one.id == run.last.failing_reading_id }
    expect([proving.probe.by, proving.probe.from, proving.value]).to match(['ohms', 'X8:b/1', be < 1])
    run.work
    expect(run.last.kind).to eq('close')
  end

  it 'cuts a splice only where nothing else parts the runs, and says what that takes' do
    sheet = library('engine_stop')
    run = followed(sheet, 'Y5', '9')
    cuts = run.steps.select { |step| step.probe&.opened&.any? { |id| Wattomneum::Circuits::Apart.kind(id, sheet) == 'splice' } }
    expect(cuts.flat_map { |step| step.cautions.map(&:id) }).to include('splice_cut')
    expect(cuts.first.minutes).to be >= 15
  end

  # Wires whole, a fuse put in and blown again: then each of what hangs on it by itself, and all of it proved in the end.
  { 'fuel_pump' => %w[M2 B12], 'heater' => %w[M4 E5], 'engine_stop' => %w[Y5 L5] }.each do |key, loads|
    loads.each do |load|
      it "finds #{load} of #{key} that takes too much after the second fuse, mends nothing else, and closes" do
        sheet = library(key)
        part = { 'fuel_pump' => 'M2', 'heater' => 'U3', 'engine_stop' => 'Y5' }.fetch(key)
        truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [Wattomneum::Practice::Fault.new(item: load, ohm: 0.15)], seed: 3)
        run = BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom(part, 'key_on'), system: system_of(sheet)).work
        expect(run.repairs.map(&:unit)).to match([start_with('F'), load])
        expect([run.last.kind, run.truth.faults]).to eq(['close', []])
      end
    end
  end

  it 'puts in a fuse that was only old, and tries nothing else' do
    sheet = library('fuel_pump')
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [Wattomneum::Practice::Fault.open('F15')], seed: 3)
    run = BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom('M2', 'key_on'), system: system_of(sheet)).work
    expect([run.repairs.map(&:unit), run.last.kind, run.trail.grep(/hold\?/)]).to eq([['F15'], 'close', []])
  end

  # Where no ohms are to be had a short in a wire must not be laid at the first thing that is plugged in again.
  it 'lays a short where nothing can be read dead at no good part: with everything unplugged the fuse blows too' do
    sheet = library('fuel_pump')
    machine = Wattomneum::Circuits::Machine.new(sheet)
    allow(machine.sound_reading).to receive(:call).and_wrap_original do |answer, probe|
      probe.by == 'ohms' ? raise(Wattomneum::RefusedError, 'volts across the points') : answer.call(probe)
    end
    allow(Wattomneum::Circuits::Machine).to receive(:new).and_return(machine)
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [Wattomneum::Practice::Fault.short('wire 11', 0.3)], seed: 3)
    run = BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom('M2', 'key_on'), system: series_pair).work
    expect([run.repairs.map(&:unit), run.last.kind]).to eq([['F15'], 'watch'])
    expect(run.last.title).to eq('F15 blows with all that hangs on it unplugged: look along its wires')
  end

  it 'puts back what was taken out before it mends what is only left over, and names the whole piece where readings contradict each other' do
    run = followed(library('fuel_pump'), 'M2', '11')
    expect(run.trail.last(2)).to match([start_with('repeat: Back in place: ohms, X8:b/1'), start_with('repair: Shorted to ground: Wire 11')])
    short, *out = [%w[], ['end of wire 11 in X8:b/1'], ['end of wire 12 in X8:b/1']].each_with_index.map { |off, at| ohms_at_the_plug(off, at) }
    machine = Wattomneum::Circuits::Machine.new(library('fuel_pump'))
    kase = Wattomneum::Faults::Assessment.new(system: series_pair, readings: [], machine: machine, symptom: symptom('M2', 'key_on'),
                                              points: [short, *out]).paths
    piece = Wattomneum::Faults::Paths::GroundedPiece.new(kase, short)
    expect([piece.wires, piece.all.map(&:key)]).to eq([[], ['wire 11', 'wire 12']])
  end
end
