# frozen_string_literal: true

# The next step followed blindly on a simulated unit with hidden faults, and what must not happen meanwhile.
module BlindRuns
  # Readings are the simulated unit's, meter errors and scatter of components and batteries included.
  def run(system, faults, seed:, celsius:, work: 'starting')
    unit = Wattomneum::Practice::Unit.new(system: system, faults: faults, seed: seed, temperature_celsius: celsius)
    technician = Wattomneum::Practice::Technician.new(unit, work: work)
    [technician.work, technician, unit]
  end

  # Repairs that mended nothing: what was mended held no fault.
  def good_parts_mended(technician, faults, machine)
    technician.repairs.map { |one| [one.unit || one.element, one.position] } - faults.map { |one| where(one, machine) }
  end

  def where(fault, machine)
    return [fault.element, fault.position] if fault.is_a?(Wattomneum::Practice::UnitFault)

    [machine.repair_units.of(machine.circuit.item(fault.item).branches.first).key, nil]
  end

  # The same reading asked for twice running as it was, nothing said that would make it count.
  def twice_running(technician)
    technician.events.each_cons(2).select do |one, other|
      asked = [one, other].map { |event| event.step.to_h.slice(:kind, :test_key, :probe, :position, :element, :unit) }
      asked.uniq.one? && !other.step.title.start_with?('Once more')
    end
  end
end
