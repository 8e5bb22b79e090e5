# frozen_string_literal: true

require_relative 'hidden_circuit'

# Works on a job as its next step says, with readings from a unit that hides a fault; nothing is typed from an expected verdict.
# Whoever includes it brings the hands: `next_step`, `take_reading`, `record_repair`, `put_everything_back` and `close_job`.
module Journey
  MOST_STEPS = 45
  Hidden = Wattomneum::Practice::UnitFault

  # @return [Wattomneum::Practice::Unit] the unit of the database with a fault in it
  def simulated(number, element, kind, amount = nil, position = nil, seed: 1)
    unit = Server::Models::Unit.first(number: number)
    batteries = Server::Models::Fitting.current.where(unit_id: unit.id).eager(:battery).all.to_h { |one| [one.position, one.battery.to_core] }
    Wattomneum::Practice::Unit.new(system: unit.core_system(batteries), seed: seed, temperature_celsius: 8.0,
                                   faults: [Hidden.new(element: element, kind: kind, amount: amount, position: position)])
  end

  # @return [HiddenCircuit] the unit's own circuit with faults in it
  def hidden(number, *faults, seed: 1)
    HiddenCircuit.new(Server::Queries::UnitCircuits.new(Server::Models::Unit.first(number: number).id).whole.machine, faults, seed)
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
      unit.mend(step[:element] || step[:unit], step[:position])
    when 'put_back' then put_everything_back
    when 'close' then close_job
    else
      unit.charge(step[:position]) if step[:kind] == 'charge'
      take_reading(step, unit)
    end
  end
end
