# frozen_string_literal: true

# Spec processes side by side have a database each.
%w[DATABASE_URL OWNER_URL].each { |name| ENV[name] += ENV['TEST_ENV_NUMBER'] } if ENV['TEST_ENV_NUMBER']

require 'rack/test'
require_relative '../boot'
Dir[File.join(__dir__, 'support/*.rb')].each { |file| require file }

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/server/spec/}) { |metadata| metadata[:server] = true }
  config.include Rack::Test::Methods, :server
  config.include Requests, :server
  config.include Rows, :server
  config.around(:each, :server) do |example|
    next example.run if example.metadata[:committed]

    Server::DB.transaction(rollback: :always, auto_savepoint: true) { example.run }
  end
end
