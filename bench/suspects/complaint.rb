# frozen_string_literal: true

# One circuit with something on it that fails.
class Complaint
  CORE = Wattomneum
  FAULT = CORE::Practice::Fault
  # Open so often, the others of 0.1 ohm to 10 kohm, off the grid of the table.
  OPEN_SHARE = 0.4
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
  # @param seen [String] dead, or comes_and_goes as a driver says it
  def symptom(seen = 'dead') = CORE::Jobs::Symptom.new(work: 'auxiliary_load', part: part.id, situation: situation, seen: seen)

  # @return [Array<String>] keys of the parts that this fault sits in
  def guilty(fault) = machine.repair_units.along(machine.circuit.item(fault.item).branches).map(&:key)

  # @return [CORE::Practice::Truth]
  def truth(faults, seed, drawn_wrong: false) = CORE::Practice::Truth.new(sheet: sheet, faults: faults, seed: seed, drawn_wrong: drawn_wrong)

  # @return [FAULT] on its way; not every one makes it fail
  def fault(random)
    item = items.sample(random: random).key
    random.rand < OPEN_SHARE ? FAULT.open(item) : FAULT.new(item: item, adds_ohm: 10**random.rand(-1.0..4.0))
  end

  # @return [FAULT] that no hypothesis of the table is: rubbed through against a wire that is live
  def outside(random) = FAULT.fed(wires.sample(random: random).key, 10**random.rand(-1.0..1.0))

  # @return [FAULT]
  def short(random) = FAULT.short(wires.sample(random: random).key, 10**random.rand(-1.0..1.0))

  # @return [FAULT] not at fault: something hangs on a wire of its way
  def undrawn(random) = FAULT.short(wires.sample(random: random).key, 10**random.rand(1.0..2.5))

  private

  def wires = items.select { |item| item.kind == 'wire' }

  def items
    @items ||= machine.circuit.items.select { |item| item.branches.one? && mendable?(item.branches.first) }
  end

  def mendable?(index)
    table.scope.indices.include?(index) && machine.repair_units.of(index).kind != 'body' && machine.circuit.owned[index].branch.volt.zero?
  end
end
