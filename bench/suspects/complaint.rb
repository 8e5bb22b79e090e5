# frozen_string_literal: true

# One circuit with something on it that fails.
class Complaint
  CORE = Wattomneum
  attr_reader :key, :machine, :part, :situation, :system

  # @param key [String] of a shipped sheet
  # @param part [String] id of what fails
  # @param situation [String]
  # @param system [CORE::Units::ElectricalSystem]
  def initialize(key, part, situation, system)
    @key = key
    @machine = CORE::Circuits::Machine.new(CORE::Circuits::Library.fetch(key))
    @part = machine.sheet.part(part)
    @situation = situation
    @system = system
  end

  def sheet = machine.sheet
  def state = CORE::Circuits::Situations.on(sheet, situation).sheet_state
  def table = @table ||= CORE::Faults::Suspects::Table.new(machine, part, state).work_out
  def symptom = CORE::Jobs::Symptom.new(work: 'auxiliary_load', part: part.id, situation: situation, seen: 'dead')

  # @return [Array<String>] keys of the parts that this fault sits in
  def guilty(fault) = machine.repair_units.along(machine.circuit.item(fault.item).branches).map(&:key)

  # Four in ten open, the others of 0.1 ohm to 10 kohm, off the grid of the table.
  #
  # @return [Array<CORE::Practice::Fault>] on its way; not all of them make it fail
  def faults(count, seed)
    random = Random.new(seed)
    Array.new(count) { fault(random) }
  end

  # @return [CORE::Practice::Truth]
  def truth(fault, seed) = CORE::Practice::Truth.new(sheet: sheet, faults: [fault], seed: seed)

  private

  def fault(random)
    key = items.sample(random: random).key
    random.rand < 0.4 ? CORE::Practice::Fault.open(key) : CORE::Practice::Fault.new(item: key, adds_ohm: 10**random.rand(-1.0..4.0))
  end

  def items
    @items ||= machine.circuit.items.select { |item| item.branches.one? && mendable?(item.branches.first) }
  end

  def mendable?(index)
    table.scope.indices.include?(index) && machine.repair_units.of(index).kind != 'body' && machine.circuit.owned[index].branch.volt.zero?
  end
end
