# frozen_string_literal: true

# One league over all complaints: the advice followed blindly on hidden faults of a unit that behaves as Practice::Physics has it, by people who slip.
# N=300 faults a complaint; SEED=1; ONLY="click,slow"; SET=steady, two, mistaken or intermittent; SHOW=parked prints the trail of those that ended so.
require 'etc'
require 'parallel'
require_relative '../core/lib/wattomneum'
require_relative '../core/spec/support/core_fixtures'
require_relative '../core/spec/support/blind_runs'
require_relative '../core/spec/support/comes_and_goes'
require_relative 'finder/on_a_unit'
require_relative 'finder/league'

# Units as the specs have them.
module Fleet
  extend CoreFixtures
end

BlindRuns.extend(BlindRuns)
$stdout.sync = true
League.new(count: ENV.fetch('N', 300).to_i, seed: ENV.fetch('SEED', 1).to_i, set: ENV.fetch('SET', 'steady').to_sym,
           only: ENV['ONLY']&.split(',') || Shelf.complaints(ENV.fetch('SET', 'steady').to_sym), show: ENV.fetch('SHOW', nil)).print
