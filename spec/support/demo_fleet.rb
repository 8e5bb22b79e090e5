# frozen_string_literal: true

require_relative '../../demo/load'

# The demo fleet in the test database, laid anew for each example by the role that owns it.
module DemoFleet
  TABLES = %i[account yard request audit que_jobs].freeze

  def self.fresh
    owner = Sequel.connect(ENV.fetch('OWNER_URL'))
    owner.run("set session_replication_role = 'replica'")
    tables = owner.tables - %i[schema_info] - owner.tables.grep(/\Aque_(values|lockers)/)
    owner.run("truncate #{tables.map { |table| owner.literal(Sequel.identifier(table)) }.join(', ')} restart identity cascade")
    owner.disconnect
    Demo::Fleet.new.load_if_empty
  end

  def sign_in_as(role)
    visit '/'
    fill_in 'E-mail', with: "#{role}@skarrow.example"
    fill_in 'Password', with: Demo::PASSWORD
    click_button 'Sign in'
    expect(page).to have_css('h1', text: 'Today')
  end
end
