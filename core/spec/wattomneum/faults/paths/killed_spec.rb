# frozen_string_literal: true

# A magneto that lost its spark: every branch of its kill circuit grounded, every interlock closed when it should be open, every wire of the
# primary cut, in a truth of its own. Followed blindly.
RSpec.describe Wattomneum::Faults::Paths::Killed do
  let(:sheet) { Wattomneum::Circuits::Library.fetch('magneto_kill') }
  let(:machine) { Wattomneum::Circuits::Machine.new(sheet) }
  let(:hand_started) do
    Wattomneum::Units::ElectricalSystem.new(system_volt: 12, arrangement: 'none', battery_count: 0, usual_cranking_current_ampere: nil)
  end

  def run(*faults, seed: 2)
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: faults.compact, seed: seed)
    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: 'L9', situation: 'idle', seen: 'dead')
    BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: hand_started).work
  end

  def faults
    wires = machine.circuit.items.select { |item| item.kind == 'wire' }.map(&:key)
    %w[S2 S8 S9 S10 S11].map { |id| Wattomneum::Practice::Fault.stuck(id) } +
      wires.flat_map { |key| [Wattomneum::Practice::Fault.short(key, 0.3), Wattomneum::Practice::Fault.open(key)] }
  end

  it 'finds the branch that kills it, and mends nothing that is sound', :seeds do
    found = faults.each_slice(Extent.of(3, 1)).map(&:first).each_with_index.filter_map do |fault, seed|
      done = run(fault, seed: seed)
      next if done.steps.size == 2 # it sparks: nothing to be found

      units = machine.repair_units.along(machine.circuit.item(fault.item).branches)
      expect(done.repairs.map(&:unit) - units.map(&:key)).to be_empty, "#{fault.item}: #{done.trail.join("\n")}"
      expect(done.last.kind == 'close' && done.truth.faults.any?).to be(false), "#{fault.item} closed with its fault in"
      done.last.kind == 'close'
    end
    expect([found.size > Extent.of(4, 12), found.all?]).to eq([true, true])
  end

  it 'takes the kill wire out of the pin that it shares with the lead inside the unit, which parts the two' do
    ends = %w[1 3].to_h { |number| [number, run(Wattomneum::Practice::Fault.short("wire #{number}", 0.4))] }
    expect(ends.transform_values { |done| [done.repairs.map(&:unit), done.last.kind] })
      .to eq('1' => [['wire 1'], 'close'], '3' => [['wire 3'], 'close'])
    expect(ends.values.flat_map(&:trail)).to include(end_with('wire 1 out of U4:+'))
  end

  # Rubbed through against its own live end: no hypothesis of this circuit.
  it 'calls nothing open that has no volts across it, only because nothing else is left' do
    done = run(Wattomneum::Practice::Fault.fed('wire 7', 3.0))
    expect([done.repairs, done.last.title]).to eq([[], 'No part is proved: park it with what is suspected'])
    expect(done.steps[-2].why).to include('if it lies open, the volts stand across it')
  end

  # Either one off brings nothing back: what is left over is not what is at fault.
  it 'finds two branches grounded at once, mends nothing that is sound, and closes only when everything stops the engine', :seeds do
    kinds = { 'wire 6' => 'S2', 'wire 8' => 'S8', 'wire 10' => 'S9', 'wire 12' => 'S10', 'wire 14' => 'S11' }
    kinds.to_a.combination(2).first(Extent.of(3, 10)).each_with_index do |pair, seed|
      faults = pair.map.with_index { |(wire, switch), at| (seed + at).even? ? Wattomneum::Practice::Fault.short(wire, 0.4) : Wattomneum::Practice::Fault.stuck(switch) }
      guilty = faults.map { |fault| machine.repair_units.along(machine.circuit.item(fault.item).branches).map(&:key) }
      done = run(*faults, seed: seed)
      expect(done.repairs.map(&:unit) - guilty.flatten).to be_empty, "#{faults.map(&:item)}: #{done.trail.join("\n")}"
      expect([faults.map(&:item), done.last.kind, done.truth.faults]).to eq([faults.map(&:item), 'close', []])
    end
  end

  it 'proves every interlock one by one before it goes out, and holds the job while one does not stop the engine' do
    fault = Wattomneum::Practice::Fault.short('wire 12', 0.4)
    seen = run(fault).steps.select { |step| step.probe&.by == 'seen' }.map { |step| step.probe.situation }
    expect(seen.last(5)).to eq(%w[key_off door_left door_right emergency_stop oil_low])
    # The emergency stop was never wired to the stud.
    held = run(fault, Wattomneum::Practice::Fault.open('wire 13'))
    expect(held.last.kind).to eq('watch')
    expect(held.assessment.missing_to_close).to include('See that it stops the engine: turning, emergency stop pressed')
    # One of two doors: the other one stops it all the same.
    held = run(fault, Wattomneum::Practice::Fault.open('wire 9'))
    expect(held.assessment.missing_to_close).to eq(['See that it stops the engine: turning, left door open'])
  end

  it 'takes one branch at a time off the stud, never puts a battery on the lead, and warns of it at every step' do
    done = run(Wattomneum::Practice::Fault.short('wire 12', 0.2))
    read = done.steps.select { |step| step.kind == 'measure' }
    expect(read.map(&:risks)).to all(include('kill_lead'))
    expect(read.map { |step| step.probe.by }.uniq).to contain_exactly('seen', 'volts')
    expect(read.map { |step| step.probe.opened }).to all(satisfy { |opened| opened.size <= 1 }).and include(['wire 12'])
    expect(done.trail.grep(/repair/)).to eq(['repair: Touches the metal: Wire 12 black/yellow 1 mm2'])
  end

  it 'charges no magneto, and looks at plug and lead where the spark has its volts' do
    done = run(nil)
    expect(done.last.title).to eq('Spark works now: park it with what is known')
    readings = [%w[seen L9:kill L9:core dead], ['volts', 'L9:kill', 'L9:core', 8.9]].each_with_index.map do |(by, from, to, shown), index|
      probe = Wattomneum::Readings::Probe.new(by: by, from: from, to: to, situation: 'idle')
      shown = shown.is_a?(String) ? { observation: shown } : { value: shown }
      Wattomneum::Readings::PointReading.new(id: "p#{index}", probe: probe, taken_at: index, round: 0, **shown)
    end
    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: 'L9', situation: 'idle', seen: 'dead')
    step = Wattomneum::Faults::Assessment.new(system: hand_started, readings: [], points: readings, machine: machine, symptom: symptom).next_step
    expect([step.kind, step.unit, step.why]).to match(['repair', 'L9', /8\.90 V and does nothing/])
  end
end
