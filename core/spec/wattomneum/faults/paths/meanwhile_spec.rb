# frozen_string_literal: true

# Meter and eyes in one moment: without it a fault that comes and goes condemns good parts (our own simulation: one in six).
RSpec.describe Wattomneum::Faults::Paths::Meanwhile do
  core = Wattomneum
  let(:machine) { core::Circuits::Machine.new(core::Circuits::Library.fetch('fuel_pump')) }
  let(:seen) { 'dead' }

  # Each reading: by, from, to, what was shown, what it did meanwhile.
  def known(*readings)
    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: 'M2', situation: 'key_on', seen: seen)
    points = readings.each_with_index.map { |row, at| point(row, at) }
    Wattomneum::Faults::Assessment.new(system: series_pair, readings: [], points: points, machine: machine, symptom: symptom)
  end

  def point((by, from, to, shown, meanwhile), at)
    probe = Wattomneum::Readings::Probe.new(by: by, from: from, to: to, situation: 'key_on')
    said = shown.is_a?(String) ? { observation: shown } : { value: shown }
    Wattomneum::Readings::PointReading.new(id: "p#{at}", probe: probe, taken_at: at, conditions: { 'meanwhile' => meanwhile }.compact, **said)
  end

  def looked(word) = ['seen', 'M2:1', 'M2:2', word]
  def posts = ['volts', 'BAT:+', 'BAT:-', 25.2]
  def across(volt, meanwhile = nil) = ['volts', 'M2:1', 'M2:2', volt, meanwhile]

  it 'asks for volts and eyes in one moment before a pump that has its volts is condemned' do
    step = known(looked('dead'), posts, across(24.3)).next_step
    expect([step.kind, step.probe.from, step.title]).to match(['repeat', 'M2:1', /in one moment/])
    step = known(looked('dead'), posts, across(24.3), across(24.4, 'dead')).next_step
    expect([step.kind, step.unit]).to eq(%w[repair M2])
  end

  it 'takes nothing that was read while it worked for a reason why it fails, and asks what it does from then on' do
    going = known(looked('dead'), posts, across(24.3, 'works'))
    expect([going.paths.meanwhile.goes?, going.next_step.probe.from, going.next_step.why]).to match([true, 'M2:1', /when it fails/])
    expect(going.paths.current.map { |one| one.probe.by }).to eq(%w[seen volts])
    feed = core::Readings::Probe.new(by: 'volts', from: 'F15:2', to: 'BAT:-', situation: 'key_on')
    steady = known(looked('dead'), posts)
    expect([going, steady].map { |one| one.paths.meanwhile.asked?(feed) }).to eq([true, false])
  end

  it 'parks it where it does not fail any more, and says so' do
    step = known(looked('dead'), posts, *Array.new(6) { across(24.3, 'works') }).next_step
    expect([step.kind, step.title]).to match(['watch', /works now/])
  end

  it 'asks about no other state, and not of the posts' do
    other = core::Readings::Probe.new(by: 'volts', from: 'M2:1', to: 'M2:2', situation: 'running')
    posts_now = core::Readings::Probe.new(by: 'volts', from: 'BAT:+', to: 'BAT:-', situation: 'key_on')
    expect([other, posts_now].map { |probe| known(looked('dead'), posts).paths.meanwhile.asked?(probe) }).to eq([false, false])
  end

  context 'when a driver says that it comes and goes' do
    let(:seen) { 'comes_and_goes' }

    it 'tries until it fails, some times' do
      expect(known(looked('works')).next_step.title).to start_with('Try it until it fails')
      expect(known(*Array.new(6) { looked('works') }).next_step.kind).to eq('watch')
      expect(known(looked('works'), looked('dead')).next_step.probe.from).to eq('BAT:+')
    end

    it 'counts a reading only when it was seen to fail in that moment' do
      expect(known(looked('dead'), posts, across(0.1)).next_step.probe.to).to eq('M2:2')
      expect(known(looked('dead'), posts, across(0.1, 'dead')).next_step.probe.to).to eq('BAT:-')
    end
  end

  # Present in six readings of ten, on three circuits, by belief and by the order of work.
  it 'condemns nothing that is sound for a fault that comes and goes, and finds it', :aggregate_failures, :seeds do
    found = { true => [], false => [] }
    { 'fuel_pump' => %w[M2 key_on], 'heater' => %w[U3 key_on], 'charge_12v' => %w[H1 key_on] }.each do |key, (part, situation)|
      sheet = core::Circuits::Library.fetch(key)
      table = core::Faults::Suspects::Table.new(core::Circuits::Machine.new(sheet), sheet.part(part), situation).work_out
      cases_of(sheet, table).product([true, false]) do |(fault, seed), by_belief|
        done = blind(sheet, part, situation, fault, seed, by_belief ? table : nil) or next
        guilty = table.machine.repair_units.along(table.machine.circuit.item(fault.item).branches).map(&:key)
        first = done.steps.find { |step| %w[repair condemn].include?(step.kind) }
        expect([fault.item, first&.unit]).to eq([fault.item, first&.unit && guilty.include?(first.unit) ? first.unit : nil]), done.trail.join("\n")
        found[by_belief] << !first.nil?
      end
    end
    expect(found.transform_values { |ends| ends.count(true).fdiv(ends.size) }).to match(true => be > 0.85, false => be > 0.6)
  end

  def cases_of(sheet, table)
    items = sheet.circuit.items.select { |item| item.branches.one? && table.scope.indices.include?(item.branches.first) }
    items.reject { |item| table.machine.repair_units.of(item.branches.first).then { |unit| %w[body battery].include?(unit.kind) } }
         .sample(Extent.of(3, 8), random: Random.new(3)).each_with_index.map { |item, seed| [Wattomneum::Practice::Fault.open(item.key), seed] }
  end

  def blind(sheet, part, situation, fault, seed, table)
    faulty, sound = [[fault], []].map { |faults| Wattomneum::Practice::Truth.new(sheet: sheet, faults: faults, seed: seed) }
    return if faulty.works?(part, situation)

    symptom = Wattomneum::Jobs::Symptom.new(work: 'auxiliary_load', part: part, situation: situation, seen: 'comes_and_goes')
    system = sheet.system_volt == 24 ? series_pair : single_battery
    BlindTechnician.new(sheet: sheet, truth: Intermittent.new(faulty, sound, seed), symptom: symptom, system: system, table: table)
                   .work(stop_at: %w[repair condemn])
  end
end
