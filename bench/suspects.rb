# frozen_string_literal: true

# Which reading next: the application by belief and in the order of work, beside three rivals, on the same hidden faults with the same minutes,
# meter errors and stop rule. N=300 bin/bench suspects runs so many faults a circuit; SEED=9 others.
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/blind_technician'
Dir[File.join(__dir__, 'suspects', '*.rb')].each { |file| require file }

CIRCUITS = [%w[fuel_pump M2 key_on], %w[heater U3 key_on], %w[engine_stop Y5 key_on], %w[glow E1 preglow], %w[cluster P1 key_on],
            %w[ecu_power A1 key_on], %w[start_12v K1 cranking], %w[start_24v K1 cranking]].freeze
$stdout.sync = true
FAULTS = ENV.fetch('N', 60).to_i
SEED = ENV.fetch('SEED', 7).to_i

# Units of 12 V and 24 V as the specs have them.
module Fleet
  extend CoreFixtures

  def self.of(key) = Wattomneum::Circuits::Library.fetch(key).system_volt == 24 ? series_pair : single_battery
end

RUNS = {
  'belief' => ->(complaint, truth) { Product.new(complaint, truth, table: complaint.table) },
  'order of work' => ->(complaint, truth) { Product.new(complaint, truth, table: nil) },
  'half-splitting' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::HalfSplitting.new(complaint)) },
  'fixed order' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::FixedOrder.new) },
  'cheapest first' => ->(complaint, truth) { Search.new(complaint, truth, Rivals::CheapestFirst.new) }
}.slice(*ENV.fetch('RUN', 'belief,order of work,half-splitting,fixed order,cheapest first').split(',')).freeze

def outcome(run, guilty)
  [run.probes.size, run.minutes, run.found.nil? ? 'stalled' : { true => 'right', false => 'wrong' }.fetch(guilty.include?(run.found))]
end

def print_row(key, name, all)
  puts format('%<key>-12s %<name>-15s %<n>3d faults: %<tests>4.1f readings, %<minutes>5.1f min, %<tally>s', key: key, name: name, n: all.size,
              tests: all.sum(&:first) / all.size.to_f, minutes: all.sum { |one| one[1] } / all.size, tally: all.map(&:last).tally)
end

calibration = Calibration.new
misfits = 0
only = ENV['ONLY']&.split(',')
CIRCUITS.select { |key, *| only.nil? || only.include?(key) }.each do |key, part, situation|
  complaint = Complaint.new(key, part, situation, Fleet.of(key))
  failing = complaint.faults(FAULTS, SEED).each_with_index.reject { |fault, seed| complaint.truth(fault, seed).works?(part, complaint.state) }
  RUNS.each do |name, made|
    runs = failing.map { |fault, seed| [made.call(complaint, complaint.truth(fault, seed)).work, complaint.guilty(fault)] }
    print_row(key, name, runs.map { |run, guilty| outcome(run, guilty) })
    next unless name == 'belief'

    runs.each { |run, guilty| calibration.add(run.claims, guilty) }
    misfits += runs.count { |run, _| run.misfits.positive? }
  end
end
puts calibration, "asked for a reading again in #{misfits} runs, none of them mistaken"
