# frozen_string_literal: true

# A unit whose own circuit hides faults, read with a meter that errs.
class HiddenCircuit
  Measured = Struct.new(:value, :observation, :conditions, keyword_init: true)

  # @param machine [Wattomneum::Circuits::Machine] the sound circuit
  # @param faults [Array<Wattomneum::Practice::Fault>]
  # @param seed [Integer]
  def initialize(machine, faults, seed)
    @machine = machine
    @truth = Wattomneum::Practice::Truth.new(sheet: machine.sheet, faults: faults, seed: seed)
  end

  # @param probe [Wattomneum::Readings::Probe]
  # @param watched [String, nil] id of what is looked at in the same moment, or what the list calls it: "Fuel pump (M2)"
  # @return [Measured]
  def read(probe, watched: nil)
    state = Wattomneum::Circuits::Situations.on(@machine.sheet, probe.situation).sheet_state
    beside = watched && probe.by == 'volts' ? { watched: "#{id_of(watched)}:" } : {}
    shown = @truth.read(probe.by, probe.from, probe.to, state: state, opened: probe.opened, **beside)
    return Measured.new(value: shown.value, conditions: { 'meanwhile' => shown.observation }) if beside.any?

    Measured.new(value: shown.overload ? 'OL' : shown.value, observation: shown.observation, conditions: {})
  end

  def id_of(watched) = watched[/\((\w+)\)\z/, 1] || watched

  # @param unit [String] key of what was mended
  def mend(unit:)
    indices = @machine.circuit.owned.each_index.select { |index| @machine.repair_units.of(index).key == unit }
    @truth.mend(@machine.circuit.items.select { |item| (item.branches - indices).empty? }.map(&:key))
  end

  # @return [Boolean] whether everything is right again
  def sound? = @truth.faults.empty?
end
