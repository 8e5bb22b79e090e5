# frozen_string_literal: true

# Spec processes side by side have a database each.
%w[DATABASE_URL OWNER_URL].each { |name| ENV[name] += ENV['TEST_ENV_NUMBER'] } if ENV['TEST_ENV_NUMBER']

require 'rack/test'
require_relative '../boot'
Dir[File.join(__dir__, 'support/*.rb')].each { |file| require file }
# As where it serves: loaded on the way, what a spec finds hangs on those before it, and two threads of Ruby 3.1 that want the same file may
# each miss what is in it.
Zeitwerk::Loader.eager_load_all

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
