# frozen_string_literal: true

require 'concurrent/atomic/atomic_boolean'
require_relative '../../demo/load'

# The demo fleet in the test database, laid anew for each example that writes by the role that owns it: made once, by lay_demo_fleet.rb for all
# processes or by the first who needs it, then copied back.
module DemoFleet
  COPY = 'demo_copy'
  MADE = Concurrent::AtomicBoolean.new(ENV['DEMO_LAID'] == '1')
  # Nobody has written since it was laid: an example that only looks may have it as it is.
  UNTOUCHED = Concurrent::AtomicBoolean.new(false)

  # @param only_looks [Boolean] writes nothing itself
  def self.fresh(only_looks: false)
    return if only_looks && UNTOUCHED.true?

    UNTOUCHED.value = only_looks
    emptied { |owner, tables| MADE.true? ? copy_back(owner, tables) : make(owner, tables) }
  end

  # Made, whatever there is.
  def self.lay = emptied { |owner, tables| make(owner, tables) }

  def self.emptied
    as_owner do |owner|
      tables = owner.tables - %i[schema_info] - owner.tables.grep(/\Aque_(values|lockers)/)
      owner.run("truncate #{tables.map { |table| owner.literal(Sequel.identifier(table)) }.join(', ')} restart identity cascade")
      yield owner, tables
    end
  end

  # Whoever writes leaves a request.
  def self.written? = !Server::DB[:request].empty?

  # A fleet that has people, yards and sheets, and no unit yet.
  def self.without_units = as_owner { |owner| owner.run('truncate unit, battery cascade') }

  # Without the triggers that keep evidence as it is.
  def self.as_owner
    owner = Sequel.connect(ENV.fetch('OWNER_URL'))
    owner.run("set session_replication_role = 'replica'")
    yield owner
  ensure
    owner&.disconnect
  end

  def self.make(owner, tables)
    Demo::Fleet.new.load_if_empty
    owner.run("drop schema if exists #{COPY} cascade")
    owner.run("create schema #{COPY}")
    tables.each { |table| owner.run("create table #{COPY}.#{table} as table public.#{table}") }
    owner.run("create table #{COPY}.counters as select sequencename, last_value from pg_sequences
               where schemaname = 'public' and last_value is not null")
    MADE.make_true
  end

  def self.copy_back(owner, tables)
    tables.each do |table|
      given = owner.schema(table).reject { |_, column| column[:generated] }.map { |name, _| owner.literal(Sequel.identifier(name)) }.join(', ')
      owner.run("insert into public.#{table} (#{given}) overriding system value select #{given} from #{COPY}.#{table}")
    end
    owner.run("select setval(('public.' || quote_ident(sequencename))::regclass, last_value) from #{COPY}.counters")
  end
  private_class_method :make, :copy_back, :as_owner, :emptied

  # With a session made beside the page: signing in itself is driven where it is the subject.
  def sign_in_as(role)
    Browser.hold_session(Server::Models::Account.first(email: "#{role}@skarrow.example"))
    visit '/'
    expect(page).to have_css('h1', text: 'Today')
  end

  # Out only when the page says so: the reply to it takes whatever session cookie is held by then.
  def sign_out
    click_button 'Sign out'
    expect(page).to have_field('E-mail')
  end
end
