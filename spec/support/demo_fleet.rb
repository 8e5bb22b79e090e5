# frozen_string_literal: true

require 'concurrent/atomic/atomic_boolean'
require 'concurrent/map'
require_relative '../../demo/load'

# The demo fleet in the test database, laid anew for each example that writes by the role that owns it: made once, by lay_demo_fleet.rb for all
# processes or by the first who needs it; then the tables that an example wrote into are copied back.
module DemoFleet
  COPY = 'demo_copy'
  MADE = Concurrent::AtomicBoolean.new(ENV.fetch('DEMO_LAID', '').split.include?(ENV.fetch('TEST_ENV_NUMBER', nil)))
  # Nobody has written since it was laid: an example that only looks may have it as it is.
  UNTOUCHED = Concurrent::AtomicBoolean.new(false)
  # The transaction by which a table was last laid here: rows of any other somebody else wrote.
  LAID = Concurrent::Map.new

  # @param only_looks [Boolean] writes nothing itself
  def self.fresh(only_looks: false)
    return if only_looks && UNTOUCHED.true?

    UNTOUCHED.value = only_looks
    MADE.true? ? as_owner { |owner| copy_back(owner, tables_of(owner)) } : lay
  end

  # Made, whatever there is.
  def self.lay
    as_owner do |owner|
      tables = tables_of(owner)
      owner.run("truncate #{tables.map { |table| owner.literal(Sequel.identifier(table)) }.join(', ')} restart identity cascade")
      make(owner, tables)
    end
  end

  def self.tables_of(owner) = owner.tables - %i[schema_info] - owner.tables.grep(/\Aque_(values|lockers)/)

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
    owner.run("create table #{COPY}.counters as select sequencename, last_value, start_value from pg_sequences
               where schemaname = 'public'")
    MADE.make_true
  end

  def self.copy_back(owner, tables)
    touched(owner, tables).each do |table|
      given = owner.schema(table).reject { |_, column| column[:generated] }.map { |name, _| owner.literal(Sequel.identifier(name)) }.join(', ')
      LAID[table] = owner.transaction do
        owner[table].delete
        owner.run("insert into public.#{table} (#{given}) overriding system value select #{given} from #{COPY}.#{table}")
        owner.get(Sequel.lit('txid_current()'))
      end
    end
    owner.run("select setval(('public.' || quote_ident(sequencename))::regclass, coalesce(last_value, start_value), last_value is not null)
               from #{COPY}.counters")
  end

  # The tables that do not hold just the rows that were laid, as one transaction wrote them.
  def self.touched(owner, tables)
    known, others = tables.partition { |table| LAID.key?(table) }
    states = known.map do |table|
      as_laid = Sequel.lit('count(*) filter (where xmin::text::bigint = ?)', LAID[table])
      laid = owner[Sequel[COPY.to_sym][table]].select { count.function.* }
      owner[table].select(Sequel.as(table.to_s, :table), as_laid.as(:as_laid), Sequel.function(:count).*.as(:rows), laid.as(:laid))
    end
    return tables if states.empty?

    rows = states.reduce { |all, one| all.union(one, all: true, from_self: false) }.all
    others + rows.reject { |row| row.values_at(:as_laid, :rows).uniq == [row[:laid]] }.map { |row| row[:table].to_sym }
  end

  private_class_method :make, :copy_back, :as_owner, :tables_of, :touched

  # With a session made beside the page, from the next page visited on: signing in itself is driven where it is the subject.
  def sign_in_as(role) = Browser.hold_session(Server::Models::Account.first(email: "#{role}@skarrow.example"))

  # Out only when the page says so: the reply to it takes whatever session cookie is held by then.
  def sign_out
    click_button 'Sign out'
    expect(page).to have_field('E-mail')
  end
end
