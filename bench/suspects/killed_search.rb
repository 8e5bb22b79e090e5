# frozen_string_literal: true

# What could have been read is the application's; which of it comes next is a rival's.
class OpenEvidence < Wattomneum::Faults::Paths::StrayEvidence
  Opened = Struct.new(:id, keyword_init: true)

  # @return [Array<Test>] not read yet
  def unread = tests.select { |test| @case.reading(test.probe).nil? }

  # @param probe [Wattomneum::Readings::Probe]
  # @return [Float] to pull what is off for it, and to read it
  def minutes_of(probe) = READ_MINUTES + probe.opened.sum { |id| MINUTES.fetch(kind(Opened.new(id: id)), 6) }

  # @param test [Test]
  # @return [Float] how evenly it parts the parts that are left
  def evenness(test)
    groups = left.partition { |cause| shows?(cause, test) }.map { |causes| causes.map(&:unit).uniq.size }
    Wattomneum::Numerics::Entropy.of(groups.map { |size| size.fdiv([groups.sum, 1].max) })
  end
end

# Branches taken off a kill circuit until one part is left, and with it off the spark is back.
class KilledSearch
  CORE = Wattomneum
  MOST_READINGS = 60
  attr_reader :probes, :minutes, :found

  # @param choice [#call] of tests that were not read, and how evenly each parts what is left: one of them
  def initialize(complaint, truth, choice)
    @complaint = complaint
    @truth = truth
    @choice = choice
    @points = []
    @probes = []
    @minutes = 0.0
  end

  def work
    read(CORE::Readings::Probe.new(by: 'seen', from: 'L9:kill', to: 'L9:core', situation: @complaint.situation), OpenEvidence::READ_MINUTES)
    MOST_READINGS.times { break unless step }
    self
  end

  def condemned? = false

  private

  def step
    evidence = OpenEvidence.new(kase)
    return take(evidence.across) unless @points.any? { |point| point.probe == evidence.across.probe }
    return prove(evidence) if evidence.units.one?

    tests = evidence.unread
    tests.any? && evidence.units.any? && take(@choice.call(tests, evidence.method(:evenness)))
  end

  def prove(evidence)
    test = evidence.confirming(evidence.units.first)
    return take(test) if test && evidence.unread.any? { |one| one.probe == test.probe }

    @found = evidence.units.first.key
    false
  end

  def take(test) = read(test.probe, test.minutes)

  def read(probe, minutes)
    @minutes += minutes
    shown = @truth.read(probe.by, probe.from, probe.to, state: @complaint.state, opened: probe.opened)
    @points << CORE::Readings::PointReading.new(id: "p#{@points.size}", probe: probe, value: shown.value, observation: shown.observation,
                                                taken_at: @points.size, round: 0)
    @probes << probe
  end

  def kase
    CORE::Faults::Assessment.new(system: @complaint.system, readings: [], points: @points, machine: @complaint.machine,
                                 symptom: @complaint.symptom).paths
  end
end
