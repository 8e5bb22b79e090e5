# frozen_string_literal: true

# What somebody who looks at everything says of a circuit with a hidden fault in it: told by a simulated unit, not by the ranking.
class SeenByAll
  CORE = Wattomneum
  # A control unit takes this for another reading.
  MOVED_VOLT = 0.25

  # @param machine [CORE::Circuits::Machine]
  # @param fault [CORE::Practice::Fault]
  # @param seed [Integer]
  def initialize(machine, fault, seed)
    @machine = machine
    @sound, @truth = [[], [fault]].map { |faults| CORE::Practice::Truth.new(sheet: machine.sheet, faults: faults, seed: seed) }
  end

  # @return [Hash{String => Symbol}] of each thing: works, weak, dead or runs; of a signal right, low or high
  def all = @machine.circuit.watches.to_h { |watch| [watch.key, watch.signal? ? signal(watch) : thing(watch)] }

  private

  def states = @machine.sheet.states.keys

  def thing(watch)
    due, idle = states.partition { |state| @sound.works?(watch.key, state) }
    return :runs if idle.any? { |state| @truth.works?(watch.key, state) }

    seen = due.map { |state| @truth.read('seen', watch.from, watch.to, state: state).observation.to_sym }
    %i[dead weak].find { |word| seen.include?(word) } || :works
  end

  def signal(watch)
    offs = states.map { |state| [@truth, @sound].map { |truth| truth.volt_between(watch.from, watch.to, state: state) }.reduce(:-) }
    most = offs.max_by(&:abs)
    return :right if most.abs < MOVED_VOLT

    most.positive? ? :high : :low
  end
end
