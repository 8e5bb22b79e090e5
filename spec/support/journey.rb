# frozen_string_literal: true

require_relative 'hidden_circuit'

# Works on a job as its next step says, with readings from a unit that hides a fault; nothing is typed from an expected verdict.
# Whoever includes it brings the hands: `next_step`, `take_reading`, `record_repair`, `put_everything_back` and `close_job`, and says in @about
# what the job is about, where that is a component.
module Journey
  MOST_STEPS = 45

  # @return [Server::Queries::UnitCircuits] of the unit of the database
  def circuits_of(number) = Server::Queries::UnitCircuits.new(Server::Models::Unit.first(number: number).id)

  # @return [Wattomneum::Practice::Unit] the unit of the database with a bad joint or cable between two named points of its circuit
  def with_bad_joint(number, from, to, ohm:, seed: 1)
    simulated(number, Wattomneum::Practice::Fault.between(circuits_of(number).whole.machine, from, to, ohm: ohm), seed: seed)
  end

  # @return [Wattomneum::Practice::Unit] the unit of the database with a battery that gives a part of its rating
  def with_weak_battery(number, position, share, seed: 1)
    simulated(number, Wattomneum::Practice::UnitFault.new(element: 'battery', kind: 'weak', amount: share, position: position), seed: seed)
  end

  def simulated(number, fault, seed:)
    circuits = circuits_of(number)
    Wattomneum::Practice::Unit.new(system: circuits.system, drawn: circuits.whole.assembly.sheet, seed: seed, temperature_celsius: 8.0,
                                   faults: [fault])
  end

  # @return [HiddenCircuit] the unit's own circuit with faults in it
  def hidden(number, *faults, seed: 1)
    HiddenCircuit.new(Server::Queries::UnitCircuits.new(Server::Models::Unit.first(number: number).id).whole.machine, faults, seed)
  end

  # @return what the meter shows, or the eye sees, at this step
  def measured(step, unit)
    return unit.measure(step[:test], position: step[:position]) unless step[:probe]

    beside = unit.is_a?(HiddenCircuit) ? { watched: @about } : {}
    unit.read(Wattomneum::Readings::Probe.new(**step[:probe]), **beside)
  end

  # @return [String] what is typed from the meter: volts with every digit of its display, as they do who count digits
  def typed(step, measured)
    volts = step[:probe] ? step[:probe][:by] == 'volts' : Wattomneum::Readings::Catalogue.fetch(step[:test]).quantity == 'voltage'
    shown = volts && measured.value.is_a?(Float) ? Wattomneum::Practice::Meter.text(measured.value) : measured.value.to_s
    shown.tr('.', ',')
  end

  # @return [Array<String>] kinds of the steps taken, in order
  def work_to_the_end(unit)
    kinds = []
    MOST_STEPS.times do
      step = next_step
      kinds << step[:kind]
      break if step[:kind] == 'watch'

      do_step(step, unit)
      break if step[:kind] == 'close'
    end
    kinds
  end

  def do_step(step, unit)
    case step[:kind]
    when 'repair', 'condemn'
      record_repair(step)
      unit.mend(**step.slice(:element, :unit, :position))
    when 'put_back' then put_everything_back
    when 'close' then close_job
    else
      unit.charge(step[:position]) if step[:kind] == 'charge'
      take_reading(step, unit)
    end
  end
end
