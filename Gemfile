# frozen_string_literal: true

source 'https://rubygems.org'

# Versions that run on Ruby 3.1.2; docs/decisions/0001-pinned-versions.md says why where a newer one exists.
gem 'argon2', '~> 2.3'
gem 'bootsnap', '~> 1.26'
gem 'dry-schema', '~> 1.13.4'
gem 'dry-validation', '~> 1.10.0'
gem 'http', '~> 5.3'
gem 'json', '~> 2.10'
gem 'pg', '~> 1.5.9'
gem 'prawn', '~> 2.5'
gem 'prawn-svg', '~> 0.38'
gem 'prawn-table', '~> 0.2.2'
gem 'puma', '~> 8.0'
gem 'que', '~> 2.4'
gem 'rack', '~> 3.2'
gem 'rack-protection', '~> 4.2'
gem 'rackup', '~> 2.3'
gem 'sequel', '~> 5.110'
gem 'sequel_pg', '~> 1.20'
gem 'sinatra', '~> 4.2'
gem 'zeitwerk', '~> 2.6.18'
gem 'zxcvbn', '~> 1.0'

group :test do
  gem 'axe-core-api', '~> 4.14'
  gem 'capybara', '~> 3.40'
  gem 'json_schemer', '~> 2.4'
  gem 'rack-test', '~> 2.1'
  gem 'rspec', '~> 3.13'
  gem 'selenium-webdriver', '~> 4.32.0'
  gem 'turbo_tests', '~> 2.2'
end

group :lint do
  gem 'rubocop', '~> 1.92'
  gem 'rubocop-performance', '~> 1.27'
  gem 'rubocop-rspec', '~> 3.10'
  gem 'rubocop-sequel', '~> 0.4'
  gem 'rubocop-thread_safety', '~> 0.8'
end
