# frozen_string_literal: true

# What runs when it should be off: contacts that stay closed and wires rubbed through, hidden in a truth that knows nothing of how they are
# looked for. Followed blindly.
RSpec.describe Wattomneum::Faults::Paths::StaysOn do
  core = Wattomneum
  fault = core::Practice::Fault

  # complaint: sheet, component, situation in which it should be off
  complaints = { 'a fuel pump that runs with the key off' => %w[fuel_pump M2 stopped],
                 'a fuel solenoid that does not let go' => %w[engine_stop Y5 stopped],
                 'a start relay behind its button' => %w[start_24v K1 stopped], 'a starter that stays in' => %w[start_24v M1 key_on],
                 'a glow plug' => %w[glow E1 stopped], 'an element of the intake heater' => %w[main_feed E20 stopped],
                 'two stations that start one engine' => %w[genset K5 off], 'a blower' => %w[heater M3 cranking] }

  def system_of(sheet)
    sheet.system_volt == 24 ? series_pair(usual_cranking_current_ampere: 450.0) : single_battery(usual_cranking_current_ampere: 600.0)
  end

  def run(key, part, situation, fault, seed)
    sheet = Wattomneum::Circuits::Library.fetch(key)
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [*([fault] if fault)], seed: seed)
    state = Wattomneum::Circuits::Situations.on(sheet, situation).sheet_state
    return if fault && truth.read('seen', "#{part}:", nil, state: state).observation == 'dead'

    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: situation, seen: 'stays_on')
    BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: system_of(sheet)).work
  end

  # Every contact that can stay closed, every wire that can touch a live one or the metal.
  def faults(machine)
    contacts = machine.circuit.items.select { |item| item.branches.one? && contact?(machine.circuit.owned[item.branches.first]) }
    wires = machine.circuit.items.select { |item| item.kind == 'wire' }
    contacts.map { |item| Wattomneum::Practice::Fault.stuck(item.key) } +
      wires.flat_map { |item| [Wattomneum::Practice::Fault.fed(item.key, 0.2), Wattomneum::Practice::Fault.short(item.key, 0.2)] }
  end

  def contact?(owned)
    %i[states energised driven].include?(owned.branch.gate) && !owned.part.is_a?(Wattomneum::Circuits::Parts::Load)
  end

  complaints.each do |words, (key, part, situation)|
    it "finds what holds #{words}, or names it, mends nothing that is sound, and never closes with the fault in" do
      machine = core::Circuits::Machine.new(core::Circuits::Library.fetch(key))
      runs = faults(machine).each_with_index.filter_map { |one, seed| run(key, part, situation, one, seed)&.then { |done| [one, done] } }
      found = runs.count do |one, done|
        units = machine.repair_units.along(machine.circuit.item(one.item).branches)
        expect(done.repairs.map(&:unit) - units.map(&:key)).to be_empty, "#{one.item}: #{done.trail.join("\n")}"
        expect(done.last.kind == 'close' && done.truth.faults.any?).to be(false), "#{one.item} closed with its fault in"
        expect(done.steps.each_cons(2).count { |before, after| before.to_h == after.to_h }).to eq(0)
        done.last.kind == 'close' || units.any? { |unit| "#{done.last.title} #{done.last.why}".include?(unit.label) }
      end
      expect([runs.any?, found]).to eq([true, runs.size])
    end
  end

  it 'pulls the relay where its coil has nothing, and says why its contact is what stays closed' do
    done = run('fuel_pump', 'M2', 'stopped', fault.stuck('K11 contact 30 to 87'), 3)
    expect(done.trail.first(5)).to match([include('Fuel pump: what it does'), include('M2:1 to M2:2'), include('K11:86 to K11:85'),
                                          include('K11 unplugged'), 'repair: Stays closed: K11, Fuel pump relay'])
    expect(done.steps[4].why).to include('0.00 V at M2:1 with K11 unplugged')
    # Off is not all: it has to work when it should.
    expect(done.trail.last(2)).to match([include('Fuel pump: what it does, key on'), 'close: Close the job'])
  end

  it 'condemns a solenoid only where nothing calls it and the motor runs, and warns of it at every step' do
    done = run('start_24v', 'M1', 'key_on', fault.stuck('K2 contact 30 to 87'), 3)
    condemned = done.steps.find { |step| step.kind == 'condemn' }
    expect([condemned.unit, condemned.title]).to eq(['starter', 'Stays closed: Starter with its solenoid'])
    expect(done.steps.first(3).map(&:risks)).to all(include('starter_stays_in'))
  end

  it 'condemns no control unit that drives it: it may be asked to' do
    done = run('heater', 'M3', 'cranking', fault.stuck('U3 high side B/1'), 3)
    expect([done.last.kind, done.last.title, done.repairs]).to match(['watch', include('switches it on: is it asked to?'), []])
  end

  it 'mends nothing while it is off, and tells what hangs by itself from what is fed' do
    expect(run('fuel_pump', 'M2', 'stopped', nil, 3).last.title).to eq('Fuel pump is off now: park it with what is known')
    machine = core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump'))
    probes = [core::Readings::Probe.new(by: 'seen', from: 'M2:1', to: 'M2:2', situation: 'stopped'),
              core::Readings::Probe.new(by: 'volts', from: 'M2:1', to: 'M2:2', situation: 'stopped')]
    points = [{ observation: 'works' }, { value: 0.0 }].each_with_index.map do |shown, index|
      core::Readings::PointReading.new(id: "p#{index}", probe: probes[index], taken_at: index, round: 0, **shown)
    end
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'stopped', seen: 'stays_on')
    step = core::Faults::Assessment.new(system: series_pair, readings: [], points: points, machine: machine, symptom: symptom).next_step
    expect(step.title).to eq('It hangs by itself: M2, Fuel pump')
  end
end
