# frozen_string_literal: true

# The next step followed blindly on hidden faults: for each kind what it took, and where it ended. N=20 seeds each unless said.
# STRESS=intermittent: starts that come and go, there in six tries of ten; SAID=yes where the driver says so at the intake.
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/blind_runs'
require_relative '../core/spec/support/comes_and_goes'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/hidden_faults'

SEEDS = ENV.fetch('N', 20).to_i
COMES_AND_GOES = ENV['STRESS'] == 'intermittent'

# Units as the specs have them.
module Fleet
  extend CoreFixtures
end

# One kind of hidden fault on one unit, followed from complaint to end.
class Followed
  include BlindRuns

  def initialize(system, hidden, seed, work)
    random = Random.new(seed * 7919)
    @faults = hidden.call(random)
    celsius = random.rand(-15.0..30.0).round
    units = [@faults, []].map do |inside|
      Wattomneum::Practice::Unit.new(system: Fleet.public_send(system), faults: inside, seed: seed, temperature_celsius: celsius)
    end
    @machine = units.first.machine
    @technician = Wattomneum::Practice::Technician.new(COMES_AND_GOES ? ComesAndGoes.new(*units, seed) : units.first, work: work, seen: seen)
    @last = @technician.work
  end

  def steps = @technician.events.index(&:repair) || @technician.events.size
  def minutes = @technician.events.last.minutes

  def end
    return 'good part mended' if good_parts_mended(@technician, @faults, @machine).any?
    return 'closed' if @last.kind == 'close'

    @technician.repairs.any? ? 'mended, not closed' : 'parked'
  end

  private

  def seen = COMES_AND_GOES && ENV['SAID'] ? 'comes_and_goes' : nil
end

def middle(values) = values.sort[values.size / 2]

ends = Hash.new { |all, work| all[work] = [] }
(COMES_AND_GOES ? HiddenFaults::BY_WORK.slice('starting') : HiddenFaults::BY_WORK).each do |work, kinds|
  kinds.each do |name, (system, hidden)|
    runs = (1..SEEDS).map { |seed| Followed.new(system, hidden, seed, work) }
    ends[work].concat(runs.map(&:end))
    puts format('%<name>-48s %<steps>2d steps to the place (most %<most>2d), %<minutes>3d min to the end, %<ends>s', name: name,
                steps: middle(runs.map(&:steps)), most: runs.map(&:steps).max, minutes: middle(runs.map(&:minutes)),
                ends: runs.map(&:end).tally.map { |how, count| "#{count} #{how}" }.join(', '))
  end
end
ends.each { |work, all| puts "#{work}: #{all.tally.map { |how, count| "#{count} #{how}" }.join(', ')} of #{all.size}" }
