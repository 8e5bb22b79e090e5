# frozen_string_literal: true

# Which reading next: by belief, beside halving a side along the order of work, on the same hidden faults with the same minutes of access.
# N=300 bench/suspects.rb runs so many faults a circuit. Belief is not what the application advises by yet: this is what it has to show first.
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/blind_technician'

CORE = Wattomneum
SUSPECTS = CORE::Faults::Suspects
CIRCUITS = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[engine_stop Y5 key_on], %w[glow E1 preglow], %w[cluster P1 key_on],
            %w[start_24v K1 cranking]].freeze
FAULTS = ENV.fetch('N', 60).to_i
MOST_READINGS = 25
READ_MINUTES = 3.0
# To get a probe at a part for the first time.
ACCESS_MINUTES = { 'splice' => 15, 'body' => 3, 'fuse' => 2, 'relay' => 4, 'battery' => 0 }.freeze
CONVICTING_VOLT = 0.25
MENDS = %w[repair condemn].freeze
SERVED = %w[load.has_volts load.dead_with_volts].freeze
NAMES = ['by belief', 'by halving'].freeze

# Units of 12 V and 24 V as the specs have them.
module Fleet
  extend CoreFixtures
end

# One circuit with something on it that fails.
Complaint = Struct.new(:machine, :part, :situation, keyword_init: true) do
  def state = CORE::Circuits::Situations.on(machine.sheet, situation).sheet_state
  def table = @table ||= SUSPECTS::Table.new(machine, part, state).work_out
  def scope = table.scope
  def predictions = @predictions ||= SUSPECTS::Predictions.new(table)
  def symptom = CORE::Jobs::Symptom.new(work: 'auxiliary_load', part: part.id, situation: situation, seen: 'dead')
  def id_at(node) = node.split(/[: ]/).first

  def access(node, touched)
    part = machine.sheet.part(id_at(node))
    part.nil? || touched.include?(part.id) ? 0.0 : ACCESS_MINUTES.fetch(part.kind, 3).to_f
  end

  # Of readings in this order.
  def minutes(pairs)
    touched = []
    pairs.sum do |pair|
      READ_MINUTES + pair.sum { |node| access(node, touched).tap { touched << id_at(node) } }
    end
  end
end

# Readings chosen by belief until one convicts a part.
class BeliefRun
  attr_reader :pairs, :found

  def initialize(complaint, truth, system)
    @complaint = complaint
    @truth = truth
    @system = system
    @belief = SUSPECTS::Belief.new(complaint.predictions)
    @points = []
    @pairs = []
  end

  def work
    look
    MOST_READINGS.times do
      chosen = SUSPECTS::NextReading.new(@belief, @complaint.predictions, open, convicts: ->(_, volt) { volt.abs > CONVICTING_VOLT }).best or break
      volt = read('volts', chosen.from, chosen.to).value
      @belief.shown(chosen.from, chosen.to, volt)
      break if convicted
    end
    self
  end

  private

  def look
    first = @complaint.scope.consumers.first
    @belief.seen(first, read('seen', first.from, first.to).observation)
    places = @complaint.machine.sheet.places
    read('volts', places.fetch('positive_post'), places.fetch('negative_post'))
  end

  def read(method, from, to)
    probe = CORE::Readings::Probe.new(by: method, from: from, to: to, situation: @complaint.situation)
    shown = @truth.read(method, from, to, state: @complaint.state)
    @points << CORE::Readings::PointReading.new(id: "p#{@points.size}", probe: probe, value: shown.value, observation: shown.observation,
                                                taken_at: @points.size, round: 0)
    @pairs << [from, to] if method == 'volts'
    shown
  end

  def assessment
    CORE::Faults::Assessment.new(system: @system, readings: [], points: @points, machine: @complaint.machine, symptom: @complaint.symptom)
  end

  def convicted
    judgement = assessment.judgements.fetch(@points.last.id)
    @found = judgement.convicts.first if judgement.act? && judgement.convicts.one?
  end

  # Straight across what a coil or a driver closes only when it is known to be called.
  def open
    touched = @pairs.flatten.map { |node| @complaint.id_at(node) }
    judged = assessment
    SUSPECTS::Candidates.new(@complaint.machine, @complaint.scope).all.select { |one| one.needs.all? { |need| served?(judged, need) } }
                        .reject { |one| @pairs.any? { |pair| pair.sort == [one.from, one.to].sort } }
                        .map { |one| one.with_minutes(READ_MINUTES + [one.from, one.to].sum { |node| @complaint.access(node, touched) }) }
  end

  def served?(judged, need)
    point = @points.find { |one| [one.probe.from, one.probe.to] == [need.from, need.to] && one.probe.by == 'volts' }
    point && SERVED.include?(judged.judgements.fetch(point.id).code)
  end
end

def faults(complaint)
  random = Random.new(7)
  circuit = complaint.machine.circuit
  items = circuit.items.select { |item| item.branches.one? && complaint.scope.indices.include?(item.branches.first) }
  items.reject! do |item|
    index = item.branches.first
    complaint.machine.repair_units.of(index).kind == 'body' || circuit.owned[index].branch.volt.nonzero?
  end
  Array.new(FAULTS) do
    key = items.sample(random: random).key
    random.rand < 0.4 ? CORE::Practice::Fault.open(key) : CORE::Practice::Fault.new(item: key, adds_ohm: 10**random.rand(-1.0..4.0))
  end
end

def halving(complaint, truth, system)
  technician = BlindTechnician.new(sheet: complaint.machine.sheet, truth: truth, symptom: complaint.symptom, system: system).work
  before = technician.steps.take_while { |step| !MENDS.include?(step.kind) }
  mended = technician.steps.find { |step| MENDS.include?(step.kind) }
  [before.filter_map { |step| [step.probe.from, step.probe.to] if step.probe&.by == 'volts' }, mended&.unit]
end

def outcome(complaint, pairs, found, guilty)
  [pairs.size, complaint.minutes(pairs), found.nil? ? 'stalled' : { true => 'right', false => 'wrong' }.fetch(guilty.include?(found))]
end

CIRCUITS.each do |key, part, situation|
  sheet = CORE::Circuits::Library.fetch(key)
  complaint = Complaint.new(machine: CORE::Circuits::Machine.new(sheet), part: sheet.part(part), situation: situation)
  system = sheet.system_volt == 24 ? Fleet.series_pair : Fleet.single_battery
  runs = faults(complaint).each_with_index.filter_map do |fault, seed|
    made = -> { CORE::Practice::Truth.new(sheet: sheet, faults: [fault], seed: seed) }
    next if made.call.works?(part, complaint.state)

    guilty = complaint.machine.repair_units.along(complaint.machine.circuit.item(fault.item).branches).map(&:key)
    belief = BeliefRun.new(complaint, made.call, system).work
    [outcome(complaint, belief.pairs, belief.found, guilty), outcome(complaint, *halving(complaint, made.call, system), guilty)]
  end
  NAMES.zip(runs.transpose) do |name, all|
    puts format('%<key>-12s %<name>-11s %<n>3d faults: %<tests>4.1f readings, %<minutes>5.1f min, %<tally>s', key: key, name: name, n: all.size,
                tests: all.sum(&:first) / all.size.to_f, minutes: all.sum { |one| one[1] } / all.size, tally: all.map(&:last).tally)
  end
end
