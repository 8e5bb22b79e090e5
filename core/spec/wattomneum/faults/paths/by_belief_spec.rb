# frozen_string_literal: true

# The next reading by belief, followed blindly on hidden faults beside the order of work on the same ones.
RSpec.describe Wattomneum::Faults::Paths::ByBelief do
  core = Wattomneum

  complaints = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[engine_stop Y5 key_on], %w[glow E1 preglow], %w[cluster P1 key_on],
                %w[start_12v K1 cranking], %w[start_24v K1 cranking]]
  # By halving too, for the minutes, on so many of them.
  compared = Extent.of(2, 20)

  def system_of(sheet) = sheet.system_volt == 24 ? series_pair : single_battery

  def run(sheet, symptom, fault, seed, table, &)
    truth = Wattomneum::Practice::Truth.new(sheet: sheet, faults: [fault], seed: seed)
    state = Wattomneum::Circuits::Situations.on(sheet, symptom.situation).sheet_state
    return if truth.works?(symptom.part, state)

    BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: system_of(sheet), table: table).work(&)
  end

  def faults(machine, scope)
    items = machine.circuit.items.select { |item| item.branches.one? && scope.indices.include?(item.branches.first) }
    items.reject! { |item| machine.repair_units.of(item.branches.first).then { |unit| %w[body battery].include?(unit.kind) } }
    all = items.flat_map { |item| [Wattomneum::Practice::Fault.open(item.key), Wattomneum::Practice::Fault.new(item: item.key, adds_ohm: 7.0)] }
    all.sample(Extent.of(4, 60), random: Random.new(7))
  end

  it 'mends nothing sound, never closes with the fault in, takes fewer minutes than halving, and its strong suspects are at fault', :seeds do
    minutes = Hash.new(0)
    claims = []
    complaints.each do |key, part, situation|
      sheet = core::Circuits::Library.fetch(key)
      machine = core::Circuits::Machine.new(sheet)
      symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: situation, seen: 'dead')
      state = core::Circuits::Situations.on(sheet, situation).sheet_state
      table = core::Faults::Suspects::Table.new(machine, sheet.part(part), state).work_out
      faults(machine, table.scope).each_with_index do |fault, seed|
        guilty = machine.repair_units.along(machine.circuit.item(fault.item).branches).map(&:key)
        by_belief = run(sheet, symptom, fault, seed, table) { |known| claims << [known.paths.suspicion.strong, guilty] if known.repairs.empty? }
        next if by_belief.nil?

        expect(by_belief.repairs.map(&:unit) - guilty).to be_empty, "#{key} #{fault.item}: #{by_belief.trail.join("\n")}"
        expect(by_belief.last.kind == 'close' && by_belief.truth.faults.any?).to be(false)
        next unless seed < compared

        halving = run(sheet, symptom, fault, seed, nil)
        expect([fault.item, by_belief.last.kind]).to eq([fault.item, halving.last.kind]) if halving.last.kind == 'close'
        minutes[:belief] += access_minutes(by_belief, machine)
        minutes[:halving] += access_minutes(halving, machine)
      end
    end
    expect(minutes[:belief]).to be < minutes[:halving]
    strong = claims.select(&:first)
    expect(strong.size).to be > Extent.of(12, 300)
    expect(strong.count { |unit, guilty| guilty.include?(unit.key) }.fdiv(strong.size)).to be > 0.85
  end

  # To the first repair, with what it takes to get at each point for the first time.
  def access_minutes(technician, machine)
    probes = technician.steps.take_while { |step| step.kind == 'measure' }.filter_map(&:probe)
    probes.each_with_index.sum { |probe, index| Wattomneum::Faults::Access.new(machine.sheet, probes.first(index)).minutes(probe) }
  end

  it 'goes by the posts as they are: tired batteries move every volt, and mislead nobody' do
    sheet = core::Circuits::Library.fetch('fuel_pump')
    machine = core::Circuits::Machine.new(sheet)
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    table = core::Faults::Suspects::Table.new(machine, sheet.part('M2'), 'key_on').work_out
    tired = sheet.with_parts('BAT' => sheet.part('BAT').fields.merge('volt' => 23.6))
    follow = lambda do |really, item|
      truth = core::Practice::Truth.new(sheet: really, faults: [core::Practice::Fault.open(item)], seed: 4)
      BlindTechnician.new(sheet: sheet, truth: truth, symptom: symptom, system: series_pair, table: table).work
    end
    more = ['X8 pin 1', 'wire 13', 'K11 coil', 'F15', 'G8 wire 8'].map do |item|
      done = follow.call(tired, item)
      guilty = machine.repair_units.along(machine.circuit.item(item).branches).map(&:key)
      expect([item, done.repairs.map(&:unit) - guilty, done.last.kind]).to eq([item, [], 'close'])
      outcomes = done.steps.filter_map(&:outcomes).flatten(1).map(&:first)
      expect(outcomes.grep(/2[45]\.\d/)).to eq([])
      taken = [done, follow.call(sheet, item)].map { |one| one.steps.take_while { |step| step.kind == 'measure' }.size }
      taken.first - taken.last
    end
    expect(more.sum).to be <= 2
  end

  it 'holds its readings against the negative post also where the sheet counts its volts from the frame' do
    drawn = core::Circuits::Library.fetch('fuel_pump')
    fields = core::Circuits::Sheet::FIELDS.to_h { |name| [name, drawn.public_send(name)] }
    sheet = core::Circuits::Sheet.new(**fields, reference: drawn.node_of('FRAME'))
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    table = core::Faults::Suspects::Table.new(core::Circuits::Machine.new(sheet), sheet.part('M2'), 'key_on').work_out
    done = run(sheet, symptom, core::Practice::Fault.open('X8 pin 1'), 3, table)
    expect([done.repairs.map(&:unit), done.last.kind]).to eq([['X8 pin 1'], 'close'])
  end

  it 'says who is suspected, and what each would show' do
    sheet = core::Circuits::Library.fetch('fuel_pump')
    machine = core::Circuits::Machine.new(sheet)
    symptom = core::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: 'dead')
    table = core::Faults::Suspects::Table.new(machine, sheet.part('M2'), 'key_on').work_out
    done = run(sheet, symptom, core::Practice::Fault.open('G8 wire 8'), 5, table)
    outcomes = done.steps.filter_map(&:outcomes).flatten(1)
    expect(outcomes.map(&:first)).to include(match(/\AAbout 25\.\d V\z/), 'About 0 V')
    expect(outcomes.map(&:last)).to include(a_string_matching(/ring of wire 8 on G8/), a_string_matching(/ or \d+ more\z/))
    expect(done.steps.map(&:why).grep(/\AStrong suspect: /)).not_to be_empty
    expect(done.repairs.map(&:unit)).to eq(['ring of wire 8 on G8'])
  end
end
