# frozen_string_literal: true

# Somebody who does what the next step says on a hidden circuit, until the job may close or no step is left.
class BlindTechnician
  CORE = Wattomneum
  MOST_STEPS = 60

  attr_reader :steps, :readings, :repairs, :truth

  # @param sheet [CORE::Circuits::Sheet]
  # @param truth [CORE::Practice::Truth]
  # @param symptom [CORE::Jobs::Symptom]
  # @param system [CORE::Units::ElectricalSystem]
  # @param table [CORE::Faults::Suspects::Table, nil] what each fault would show
  def initialize(sheet:, truth:, symptom:, system:, table: nil)
    @table = table
    @machine = CORE::Circuits::Machine.new(sheet)
    @truth = truth
    @symptom = symptom
    @system = system
    @steps = []
    @readings = []
    @repairs = []
  end

  # @param stop_at [Array<String>] kinds of steps at which it stops too
  # @yieldparam known [CORE::Faults::Assessment] before each step
  def work(stop_at: [])
    MOST_STEPS.times do
      known = assessment
      yield known if block_given?
      step = known.next_step
      @steps << step
      return self if ['close', 'watch', *stop_at].include?(step.kind)

      take(step)
    end
    self
  end

  def assessment
    CORE::Faults::Assessment.new(system: @system, readings: @readings.grep(CORE::Readings::Reading),
                                 points: @readings.grep(CORE::Readings::PointReading), machine: @machine, repairs: @repairs.dup, symptom: @symptom,
                                 table: @table)
  end

  def kase = assessment.paths

  def last = @steps.last
  def measured = @steps.count(&:probe)
  def minutes = @steps.sum { |step| step.minutes.to_i }
  def trail = @steps.map { |step| "#{step.kind}: #{step.title}" }

  private

  def take(step)
    return read(step.probe) if step.probe
    return crank if step.test_key == 'cranking_behaviour'
    return read(CORE::Readings::Catalogue.fetch(step.test_key).probe(@machine.sheet)) if step.test_key
    raise "nobody can do #{step.to_h}" unless %w[repair condemn].include?(step.kind)

    @truth.mend(items_of(step.unit))
    @repairs << CORE::Jobs::Repair.new(id: "m#{@repairs.size}", unit: step.unit, failing_reading_id: step.failing_reading_id, temporary: false)
  end

  # By the circuit's own items: what is mended is every branch of the unit.
  def items_of(unit)
    units = @machine.repair_units
    indices = @machine.circuit.owned.each_index.select { |index| units.of(index).key == unit }
    @machine.circuit.items.select { |item| (item.branches - indices).empty? }.map(&:key)
  end

  def crank
    seen = @truth.works?(@machine.sheet.loops.first.load, 'cranking') ? 'normal' : 'silent'
    @readings << CORE::Readings::Reading.new(id: "r#{@readings.size}", test_key: 'cranking_behaviour', observation: seen, taken_at: @readings.size,
                                             round: @repairs.size)
  end

  def read(probe)
    state = CORE::Circuits::Situations.on(@machine.sheet, probe.situation).sheet_state
    asked = kase.meanwhile.asked?(probe)
    shown = @truth.read(probe.by, probe.from, probe.to, state: state, opened: probe.opened, **(asked ? { watched: "#{@symptom.part}:" } : {}))
    beside = asked ? { conditions: { 'meanwhile' => shown.observation } } : { observation: shown.observation }
    @readings << CORE::Readings::PointReading.new(id: "r#{@readings.size}", probe: probe, taken_at: @readings.size, value: shown.value,
                                                  overload: shown.overload || false, round: @repairs.size, **beside)
  end
end
