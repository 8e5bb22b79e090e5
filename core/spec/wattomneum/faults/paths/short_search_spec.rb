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

  { 'fuel_pump' => 'M2', 'engine_stop' => 'Y5', 'heater' => 'U3' }.each do |key, part|
    it "finds every wire that, rubbed through, keeps #{part} of #{key} from working" do
      sheet = library(key)
      runs = sheet.wires.to_h { |wire| [wire.number, followed(sheet, part, wire.number)] }.compact
      expect(runs.size).to be >= 5
      expect(runs.transform_values { |run| run.last.unit }).to eq(runs.keys.to_h { |number| [number, "wire #{number}"] })
    end
  end

  it 'takes one wire out of the pin that two share, says so, and asks for the proof between the same points' do
    run = followed(library('fuel_pump'), 'M2', '11')
    expect(run.trail.last(2).first).to end_with('wire 11 out of X8:b/1')
    proving = run.readings.find { |one| one.id == run.last.failing_reading_id }
    expect([proving.probe.by, proving.probe.from, proving.value]).to match(['ohms', 'X8:b/1', be < 1])
    run.work
    expect(run.last.kind).to eq('close')
  end

  it 'cuts a splice only where nothing else parts the runs, and says what that takes' do
    sheet = library('engine_stop')
    run = followed(sheet, 'Y5', '9')
    cuts = run.steps.select { |step| step.probe&.opened&.any? { |id| Wattomneum::Circuits::Apart.cut?(id, sheet) } }
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
end
