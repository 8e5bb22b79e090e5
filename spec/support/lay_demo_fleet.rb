# frozen_string_literal: true

# lay_demo_fleet.rb NUMBER... [-- NUMBER...]: a database for every spec process. Makes the demo fleet once, in the database that is given, and
# copies it for the first ones; the last ones get the sheets that ship and no fleet, as a new house has them.
require_relative '../../server/boot'
require_relative 'demo_fleet'

OWN = URI(ENV.fetch('OWNER_URL'))
TEMPLATE = OWN.path.delete_prefix('/')

def copy_for(numbers)
  Server::DB.disconnect
  Sequel.connect(OWN.dup.tap { |url| url.path = '/postgres' }.to_s, test: false) do |db|
    numbers.each do |number|
      copy = TEMPLATE.sub(/\d+\z/, number)
      db.run("drop database if exists #{db.literal(Sequel.identifier(copy))} with (force)")
      db.run("create database #{db.literal(Sequel.identifier(copy))} template #{db.literal(Sequel.identifier(TEMPLATE))}")
    end
  end
end

laid, empty = ARGV.slice_after('--').map { |numbers| numbers - ['--'] }
Server::Models::Sheet.bring_in_shipped
copy_for(empty || [])
DemoFleet.lay
copy_for(laid || [])
