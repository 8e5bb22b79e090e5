# frozen_string_literal: true

require 'open3'
require 'rbconfig'

# A house that runs while its files are brought up to date goes on with what it had: new rules with the old table of limits would fail.
RSpec.describe Server do
  it 'loads all of core and of itself before the first request' do
    asked = <<~RUBY
      require './server/boot'
      found = Dir['{core/lib,server}/**/*.rb'].grep_v(%r{/(?:spec|db)/}).map { |file| File.expand_path(file) } - $LOADED_FEATURES
      puts found.map { |file| File.basename(file) }.sort
    RUBY
    output, status = Open3.capture2e({ 'APP_ENV' => 'production' }, RbConfig.ruby, '-e', asked, chdir: Server::ROOT)
    expect([output.split("\n"), status.success?]).to eq([%w[puma.rb worker.rb], true])
  end
end
