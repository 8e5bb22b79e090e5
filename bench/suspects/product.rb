# frozen_string_literal: true

# What the application itself advises, followed blindly until it mends something: with the table of predictions by belief, without it in
# the order of work.
class Product
  MENDS = %w[repair condemn].freeze
  attr_reader :found, :minutes, :probes

  def initialize(complaint, truth, table:)
    @complaint = complaint
    @technician = BlindTechnician.new(sheet: complaint.sheet, truth: truth, symptom: complaint.symptom, system: complaint.system, table: table)
  end

  def work
    @technician.work
    before = @technician.steps.take_while { |step| !MENDS.include?(step.kind) }
    @probes = before.filter_map(&:probe)
    @minutes = @probes.each_with_index.sum { |probe, index| Wattomneum::Faults::Access.new(@complaint.sheet, @probes.first(index)).minutes(probe) }
    @found = @technician.steps.find { |step| MENDS.include?(step.kind) }&.unit
    self
  end
end
