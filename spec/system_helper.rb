# frozen_string_literal: true

require 'capybara/rspec'
require 'selenium-webdriver'
Dir[File.join(__dir__, 'support/*.rb')].each { |file| require file }

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/spec/system/}) { |metadata| metadata[:type] = :system }
  config.include Capybara::DSL, type: :system
  config.include Capybara::RSpecMatchers, type: :system
  config.include Bench, type: :system
  config.include DemoFleet, type: :system

  config.before(:each, type: :system) do |example|
    Browser.use(example.metadata[:phone] ? :phone : :laptop)
    DemoFleet.fresh
  end
  config.after(:each, type: :system) do |example|
    complaints = Browser.complaints
    Browser.forget
    expect(complaints).to be_empty, "The browser complained: #{complaints.join("\n")}" unless example.exception
  end
end
