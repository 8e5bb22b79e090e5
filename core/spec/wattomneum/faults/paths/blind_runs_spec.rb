# frozen_string_literal: true

# Whoever does what the next step says, on hidden faults that no code but the truth's knows: every open and every ohm too much, in every part
# that can make the complaint. The truth's components are off their labels and its meter errs.
RSpec.describe Wattomneum::Faults::Paths::Order do
  core = Wattomneum

  # complaint: sheet, component, situation; least_share: of the faults that are mended and closed
  complaints = {
    'a silent fuel pump' => %w[fuel_pump M2 key_on], 'a dead blower' => %w[heater M3 key_on], 'a dead heater' => %w[heater U3 key_on],
    'a fuel solenoid behind two stop buttons' => %w[engine_stop Y5 key_on], 'a cold glow plug' => %w[glow E1 preglow],
    'a start relay that does not click' => %w[start_24v K1 cranking], 'a gauge behind its sender' => %w[cluster P1 key_on],
    'a dark charge lamp' => %w[charge_12v H1 key_on], 'a main relay before the isolator' => %w[main_feed K20 key_on],
    'a station from which it does not start' => %w[genset K5 start_house], 'a relay that the control unit grounds' => %w[ecu_power K10 key_on]
  }

  def system_of(sheet)
    sheet.system_volt == 24 ? series_pair(usual_cranking_current_ampere: 450.0) : single_battery(usual_cranking_current_ampere: 600.0)
  end

  def run(sheet, part, situation, fault, seed)
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [fault], seed: seed)
    state = Wattomneum::Circuits::Situations.on(sheet, situation).sheet_state
    return if truth.works?(part, state)

    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: situation, seen: 'dead')
    BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: system_of(sheet)).work
  end

  # Other ones with every seed of the run.
  def faults(machine)
    items = machine.circuit.items.select do |item|
      item.branches.none? { |index| machine.circuit.owned[index].branch.volt.nonzero? } && machine.repair_units.along(item.branches).one?
    end
    all = items.flat_map { |item| [Wattomneum::Practice::Fault.open(item.key), Wattomneum::Practice::Fault.new(item: item.key, adds_ohm: 4.0)] }
    all.sample(Extent.of(6, 60), random: Random.new(RSpec.configuration.seed))
  end

  complaints.each do |words, (key, part, situation)|
    it "finds what is behind #{words}, mends nothing that is sound, and never closes with the fault in", :seeds do
      sheet = core::Circuits::Library.fetch(key)
      machine = core::Circuits::Machine.new(sheet)
      runs = faults(machine).each_with_index.filter_map { |fault, seed| run(sheet, part, situation, fault, seed)&.then { |one| [fault, one] } }
      runs.each do |fault, one|
        guilty = machine.repair_units.along(machine.circuit.item(fault.item).branches).map(&:key)
        expect(one.repairs.map(&:unit) - guilty).to be_empty, "#{fault.item}: #{one.trail.join("\n")}"
        expect(one.last.kind == 'close' && one.truth.faults.any?).to be(false), "#{fault.item} closed with its fault in"
        twice = one.steps.each_cons(2).count { |before, after| before.to_h == after.to_h && before.kind == 'measure' }
        expect(twice).to be <= 1
      end
      closed = runs.count { |_, one| one.last.kind == 'close' }
      # A sheet of two stations draws no start loop: what proves its battery ground is the engine, which nobody is asked to crank there.
      expect(closed).to be >= ((key == 'genset' ? 0.6 : 0.9) * runs.size).floor
    end
  end

  # A short behind a fuse: sheet, what is dead, the wire that is rubbed through.
  shorts = [%w[fuel_pump M2], %w[fuel_pump M2], %w[fuel_pump M2], %w[heater U3], %w[fuel_pump M2]]
           .zip(['wire 9', 'wire 10', 'wire 11', 'wire 4', 'wire 7'])
  shorts.each do |(key, part), wire|
    it "looks for what blew the fuse before a new one goes in: #{wire} of #{key} on the metal" do
      one = run(core::Circuits::Library.fetch(key), part, 'key_on', core::Practice::Fault.short(wire, Random.rand(0.05..0.8)), 3)
      expect([one.last.kind, one.truth.faults, one.repairs.first.unit]).to eq(['close', [], wire])
      expect(one.repairs.last.unit).to match(/\AF\d+\z/)
    end
  end

  it 'sends eyes along the wires that meet in a splice before one is cut out of it, and mends the one that is rubbed through' do
    one = run(core::Circuits::Library.fetch('heater'), 'U3', 'key_on', core::Practice::Fault.short('wire 5', 0.3), 3)
    cut = one.steps.find { |step| step.title.end_with?('wire 5 out of SP6', 'wire 6 out of SP6') }
    expect([one.last.kind, one.repairs.map(&:unit), cut.why]).to match(['close', ['wire 5', 'F8'], include('Look along them first')])
  end

  it 'says so where what it says has been cured by itself' do
    sheet = core::Circuits::Library.fetch('fuel_pump')
    truth = core::Practice::Truth.new(sheet: sheet, faults: [], seed: 1)
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'comes_and_goes')
    last = BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: series_pair).work.last
    expect([last.kind, last.title]).to eq(['watch', 'Fuel pump works now: park it with what is known'])
  end

  it 'stops where the sheets have lost what the complaint is about' do
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M99', situation: 'key_on', seen: 'dead')
    machine = core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump'))
    assessment = core::Faults::Assessment.new(system: series_pair, readings: [], machine: machine, symptom: symptom)
    expect([assessment.next_step.kind, assessment.next_step.title]).to eq(['watch', "This unit's circuit has no M99 any more"])
    expect(core::Faults::Assessment.new(system: series_pair, readings: [], symptom: symptom).next_step.title).to include('do not go together')
  end
end
