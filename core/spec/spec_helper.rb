# frozen_string_literal: true

require_relative '../lib/wattomneum'
Dir[File.join(__dir__, 'support/*.rb')].each { |file| require file }

RSpec::Matchers.define_negated_matcher :not_include, :include

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.order = :random
  Kernel.srand config.seed
  config.include BlindRuns
  config.include CoreFixtures
  config.include DraftFixtures
  config.include IslandLaw
  config.include Ngspice
  config.include SheetFixtures
  config.include SheetNetlist
end
