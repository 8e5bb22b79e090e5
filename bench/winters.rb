# frozen_string_literal: true

# Two winters of a whole fleet, and what a night costs on top of them.
module Winters
  # Entries of one yard in one pass, and how much they may add to memory over some nights.
  MOST_S = 1.0
  MOST_OF_ROWS = 5.0
  MOST_GROWTH_MB = 50
  AGAIN = 8

  # Every unit, on 150 dawns of this winter and of the one before; one in a hundred fails.
  FILL = <<~SQL
    set session_replication_role = 'replica';
    create temporary table dawn as
      select (current_date - n - case when n > 150 then 215 else 0 end) as dawn, -4 + 6 * sin(n / 7.0) as low from generate_series(1, 300) as n;
    insert into night (yard_id, dawn, low_celsius, day_before_celsius, measured_celsius, source)
      select yard.id, dawn, low, low + 4, low + random() - 0.5, 'weather' from yard, dawn on conflict do nothing;
    insert into morning (id, unit_id, dawn, outcome, low_celsius, day_before_celsius, chance, own_celsius, own_variance, person_id, nights_parked)
      select gen_random_uuid(), unit.id, dawn, case when random() < 0.01 then 'failed' when random() < 0.03 then 'slow' else 'started' end,
             low, low + 4, case when random() < 0.002 then 0.6 else 0.02 end, -17 + 4 * random(), 12, 1, 1
      from unit, dawn where retired_at is null on conflict do nothing;
    analyze;
  SQL

  class << self
    def said_in(what, seconds) = puts(format('%<what>s: %<took>.2f s', what: what, took: seconds))

    def fill
      took = seconds { as_owner { |owner| owner.run(FILL) } }
      said_in("#{Server::DB[:morning].count} mornings filled", took)
      said_in('the last two migrations run back and on again', seconds { run_migrations })
    end

    # @return [Array<String>] what takes longer than it may
    def measure
      said_in('what a night works out for the whole fleet', seconds { Server::Models::FleetPrior.work_out })
      entered
    end

    private

    def seconds(&) = milliseconds(&) / 1000

    def as_owner(&) = Sequel.connect(ENV.fetch('OWNER_URL'), &)

    def run_migrations
      folder = File.expand_path('../server/db/migrate', __dir__)
      Sequel.extension :migration
      as_owner do |owner|
        newest = Sequel::Migrator.migrator_class(folder).new(owner, folder).target
        [newest - 2, newest].each { |target| Sequel::Migrator.run(owner, folder, target: target) }
        Server::Grants.give(owner, role: URI(ENV.fetch('DATABASE_URL')).user, password: URI(ENV.fetch('DATABASE_URL')).password)
      end
    end

    # One yard after the other on the same dawn, again and again.
    def entered
      yard_id = Server::DB[:unit].where(retired_at: nil).group_and_count(:yard_id).order(Sequel.desc(Sequel.function(:count).*)).get(:yard_id)
      units = Server::DB[:unit].where(yard_id: yard_id, retired_at: nil).select_map(:id)
      person = Server::Models::Account.first
      pass = lambda do |days_ago|
        entries = units.map { |id| { unit_id: id, outcome: rand < 0.01 ? 'failed' : 'started' } }
        seconds { Server::Models::Morning.enter(entries, dawn: Date.today - days_ago, by: person) }
      end
      took = [0, 0].map(&pass).last
      before = memory_mb
      AGAIN.times { pass.call(0) }
      grown = memory_mb - before
      floor = rows_alone(units)
      said_in("one night of a yard of #{units.size} units entered, the rows alone #{floor.round(2)} s", took)
      puts "memory after #{AGAIN} more: #{grown} MB more"
      [*('a night' if took > [MOST_S, MOST_OF_ROWS * floor].max), *('memory of a night' if grown > MOST_GROWTH_MB)]
    end

    def rows_alone(units)
      took = nil
      Server::DB.transaction(rollback: :always) do
        rows = units.map { |id| { id: SecureRandom.uuid, unit_id: id, dawn: Date.today - 900, outcome: 'started', person_id: 1, nights_parked: 1 } }
        took = seconds { Server::DB[:morning].multi_insert(rows) }
      end
      took
    end
  end
end
