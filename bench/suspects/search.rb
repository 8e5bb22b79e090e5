# frozen_string_literal: true

# Readings chosen by one way of choosing until one convicts a part: what convicts, how long each takes and how the meter errs is the same for
# all of them.
class Search
  CORE = Wattomneum
  SUSPECTS = CORE::Faults::Suspects
  MOST_READINGS = 60
  attr_reader :probes, :found, :minutes, :belief

  # @param complaint [Complaint]
  # @param truth [CORE::Practice::Truth]
  # @param chooser [#call] of this search and the candidates still open, with their minutes: one of them, or nil
  def initialize(complaint, truth, chooser)
    @complaint = complaint
    @truth = truth
    @chooser = chooser
    @belief = SUSPECTS::Belief.new(complaint.table.predictions)
    @points = []
    @probes = []
    @minutes = 0.0
  end

  def work
    look
    MOST_READINGS.times do
      chosen = @chooser.call(self, open) or break
      shown = read('volts', chosen.from, chosen.to)
      @belief.shown(chosen.from, chosen.to, shown.value, posts_volt: @posts_volt)
      break if convicted
    end
    self
  end

  # Judged as what it is, not by gates.
  def condemned? = %w[battery starter alternator control_unit].include?(@found && @complaint.machine.repair_units.fetch(@found).kind)

  private

  def look
    first = @complaint.table.scope.consumers.first
    @belief.seen(first, read('seen', first.from, first.to).observation)
    @posts_volt = read('volts', @complaint.sheet.places.fetch('positive_post'), @complaint.sheet.negative_post).value
  end

  def read(method, from, to)
    probe = probe(method, from, to)
    @minutes += access.minutes(probe)
    shown = @truth.read(method, from, to, state: @complaint.state)
    @kase = nil
    @points << CORE::Readings::PointReading.new(id: "p#{@points.size}", probe: probe, value: shown.value, observation: shown.observation,
                                                taken_at: @points.size, round: 0)
    @probes << probe
    shown
  end

  def probe(method, from, to) = CORE::Readings::Probe.new(by: method, from: from, to: to, situation: @complaint.situation)
  def access = CORE::Faults::Access.new(@complaint.sheet, @probes)

  def kase
    @kase ||= CORE::Faults::Assessment.new(system: @complaint.system, readings: [], points: @points, machine: @complaint.machine,
                                           symptom: @complaint.symptom).paths
  end

  def convicted
    judgement = CORE::Evidence::Points::Judging.call(@points.last, kase.circumstances)
    @found = judgement.convicts.first if judgement.act? && judgement.weight != 'hint' && judgement.convicts.any?
  end

  # Straight across what a coil or a driver closes only when it is known to be called.
  def open
    known = kase
    at = access
    @complaint.table.candidates.all.filter_map do |one|
      probe = probe('volts', one.from, one.to)
      one.with_minutes(at.minutes(probe)) if known.reading(probe).nil? && one.needs.all? { |need| known.served?(need) }
    end
  end
end
