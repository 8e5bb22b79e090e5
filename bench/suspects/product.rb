# frozen_string_literal: true

# What the application itself advises, followed blindly until it mends something: with the table of predictions by belief, without it in
# the order of work.
class Product
  MENDS = %w[repair condemn].freeze
  attr_reader :found, :minutes, :probes, :claims

  def initialize(complaint, truth, table:)
    @complaint = complaint
    seen = truth.is_a?(Intermittent) ? 'comes_and_goes' : 'dead'
    @technician = BlindTechnician.new(sheet: complaint.sheet, truth: truth, symptom: complaint.symptom(seen), system: complaint.system,
                                      table: table)
    @claims = []
  end

  def work
    @technician.work(stop_at: MENDS) do |known|
      @claims << known.paths.suspicion.belief.by_unit.first if known.paths.suspicion && known.repairs.empty?
    end
    @probes = before.filter_map(&:probe)
    @minutes = @probes.each_with_index.sum { |probe, index| minutes_of(probe, @probes.first(index)) }
    @found = last_step&.unit
    self
  end

  # Readings asked for again because nothing explained all of them.
  def misfits = before.count { |step| step.kind == 'repeat' }

  # A battery, a starter, an alternator or a control unit.
  def condemned? = last_step&.kind == 'condemn'

  private

  def minutes_of(probe, taken) = Wattomneum::Faults::Access.new(@complaint.sheet, taken).minutes(probe)
  def last_step = @technician.steps.find { |step| MENDS.include?(step.kind) }
  def before = @technician.steps.take_while { |step| !MENDS.include?(step.kind) }
end
