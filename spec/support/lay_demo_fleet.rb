# frozen_string_literal: true

# lay_demo_fleet.rb NUMBER...: makes the demo fleet once, in the database that is given, and copies that database for every other spec process.
require_relative '../../server/boot'
require_relative 'demo_fleet'

DemoFleet.lay
Server::DB.disconnect
own = URI(ENV.fetch('OWNER_URL'))
template = own.path.delete_prefix('/')
Sequel.connect(own.dup.tap { |url| url.path = '/postgres' }.to_s, test: false) do |db|
  ARGV.each do |number|
    copy = template.sub(/\d+\z/, number)
    db.run("drop database if exists #{db.literal(Sequel.identifier(copy))} with (force)")
    db.run("create database #{db.literal(Sequel.identifier(copy))} template #{db.literal(Sequel.identifier(template))}")
  end
end
