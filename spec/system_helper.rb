# frozen_string_literal: true

require 'capybara/rspec'
require 'selenium-webdriver'
# Those are programs of their own.
PROGRAMS = %w[lay_demo_fleet told_by_a_fresh_process].map { |name| File.join(__dir__, 'support', "#{name}.rb") }.freeze
(Dir[File.join(__dir__, 'support/*.rb')] - PROGRAMS).each { |file| require file }

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/spec/system/}) { |metadata| metadata[:type] ||= :system }
  config.define_derived_metadata(file_path: %r{/spec/journeys/}) { |metadata| metadata[:type] ||= :http }
  config.include Capybara::DSL, type: :system
  config.include Capybara::RSpecMatchers, type: :system
  config.include BrowserBench, type: :system
  config.include DemoFleet, type: :system
  config.include Drawn, type: :system
  config.include Rack::Test::Methods, type: :http
  config.include Requests, type: :http
  config.include HttpBench, type: :http

  config.before { |example| DemoFleet::UNTOUCHED.make_false unless example.metadata[:only_looks] }
  config.before(:each, type: :http) { DemoFleet.fresh }
  config.before(:each, type: :system) do |example|
    Browser.use(example.metadata[:phone] ? :phone : :laptop)
    DemoFleet.fresh(only_looks: example.metadata[:only_looks])
  end
  config.after(:each, :only_looks) { expect(DemoFleet).not_to be_written }
  config.after(:each, type: :system) do |example|
    complaints = Browser.complaints
    shown = Browser.shown if example.exception
    Browser.forget
    expect([shown, complaints]).to eq([nil, []]), ["The browser complained: #{complaints.join("\n")}", *shown].join("\n")
  end
end
