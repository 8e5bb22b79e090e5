# frozen_string_literal: true

# The next step followed blindly on hidden faults: for each kind what it took, and where it ended. N=20 seeds each unless said.
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/hidden_faults'

SEEDS = ENV.fetch('N', 20).to_i

# Units as the specs have them.
module Fleet
  extend CoreFixtures
end

# Steps to the first repair, minutes to the end, and how it ended.
def run(system, faults, seed, celsius, work)
  unit = Wattomneum::Practice::Unit.new(system: system, faults: faults, seed: seed, temperature_celsius: celsius)
  technician = Wattomneum::Practice::Technician.new(unit, work: work)
  last = technician.work
  [technician.events.index(&:repair) || technician.events.size, technician.events.last.minutes, last.kind == 'close' ? 'closed' : 'parked']
end

def middle(values) = values.sort[values.size / 2]

HiddenFaults::BY_WORK.each do |work, kinds|
  kinds.each do |name, (system, hidden)|
    runs = (1..SEEDS).map do |seed|
      random = Random.new(seed * 7919)
      faults = hidden.call(random)
      run(Fleet.public_send(system), faults, seed, random.rand(-15.0..30.0).round, work)
    end
    puts format('%<name>-48s %<steps>2d steps to the place (most %<most>2d), %<minutes>3d min to the end, %<ends>s', name: name,
                steps: middle(runs.map(&:first)), most: runs.map(&:first).max, minutes: middle(runs.map { |one| one[1] }),
                ends: runs.map(&:last).tally.map { |how, count| "#{count} #{how}" }.join(', '))
  end
end
