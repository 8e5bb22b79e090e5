# frozen_string_literal: true

# Which reading next: the application by belief and in the order of work, beside three rivals, on the same hidden faults with the same minutes,
# meter errors and stop rule. N=300 faults a circuit; SEED=9 others; ONLY=heater,glow; RUN=belief,half-splitting.
# STRESS=shorts, intermittent, two, mistaken or bad runs another set of faults, by the application only.
require 'etc'
require 'parallel'
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/blind_technician'
require_relative '../core/spec/support/intermittent'
require_relative '../core/spec/support/mistaken'
Dir[File.join(__dir__, 'suspects', '*.rb')].each { |file| require file }

$stdout.sync = true
FAULTS = ENV.fetch('N', 300).to_i
SEED = ENV.fetch('SEED', 7).to_i
STRESS = ENV.fetch('STRESS', nil) && Stress.fetch(ENV.fetch('STRESS', nil))

# Seven are the main set, the longest first; the others by ONLY.
CIRCUITS = { 'ecu_power' => %w[A1 key_on], 'start_12v' => %w[K1 cranking], 'start_24v' => %w[K1 cranking], 'charge_12v' => %w[H1 key_on],
             'heater' => %w[U3 key_on], 'fuel_pump' => %w[M2 key_on], 'magneto_kill' => %w[L9 idle] }.freeze
OTHERS = { 'engine_stop' => %w[Y5 key_on], 'glow' => %w[E1 preglow], 'cluster' => %w[P1 key_on] }.freeze

# Units of 12 V and 24 V as the specs have them.
module Fleet
  extend CoreFixtures

  def self.of(key) = Wattomneum::Circuits::Library.fetch(key).system_volt == 24 ? series_pair : single_battery
end

BY_THE_APPLICATION = {
  'belief' => ->(complaint, truth) { Product.new(complaint, truth, table: complaint.table) },
  'order of work' => ->(complaint, truth) { Product.new(complaint, truth, table: nil) }
}.freeze
BY_RIVALS = {
  'half-splitting' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::HalfSplitting.new(complaint)) },
  'fixed order' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::FixedOrder.new) },
  'cheapest first' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::CheapestFirst.new) }
}.freeze

ALL_WAYS = (BY_THE_APPLICATION.keys + BY_RIVALS.keys).freeze

def runs_of(complaint)
  return complaint.runs if complaint.is_a?(KilledComplaint)

  STRESS ? BY_THE_APPLICATION : BY_THE_APPLICATION.merge(BY_RIVALS)
end

def complaint_about(key)
  kind = key == 'magneto_kill' ? KilledComplaint : Complaint
  kind.new(key, *CIRCUITS.merge(OTHERS).fetch(key), Fleet.of(key))
end

def ways_of(key) = runs_of(complaint_about(key)).keys & (ENV['RUN']&.split(',') || ALL_WAYS)

# Of one circuit one way, in a process of its own.
def measured(key, way)
  complaint = complaint_about(key)
  hidden = (STRESS || Stress::STEADY).hidden(complaint, FAULTS, SEED)
  made = runs_of(complaint).fetch(way)
  Tally.new(key, way).tap { |tally| hidden.each { |one| tally.add(made.call(complaint, one.truth).work, one.guilty, one.truth) } }
end

only = ENV['ONLY']&.split(',') || CIRCUITS.keys
# The longest first: whoever asks for what is cheapest asks for most.
work = ALL_WAYS.reverse.flat_map { |way| only.filter_map { |key| [key, way] if ways_of(key).include?(way) } }
tallies = Parallel.map(work, in_processes: Etc.nprocessors) { |key, way| measured(key, way).tap { |tally| puts tally } }
puts Calibration.new(tallies.flat_map(&:claims)), Tally.together(tallies.sort_by { |tally| ALL_WAYS.index(tally.name) })
