# frozen_string_literal: true

# Fills a database to 5,000 units and 2,000,000 readings and times what people open, request by request, beside the same on the demo fleet.
require 'etc'
require 'rack/mock'
require_relative '../server/boot'
require_relative '../demo/load'
require_relative '../server/db/grants'
require_relative 'winters'

UNITS = ENV.fetch('UNITS', 5_000).to_i
READINGS_A_UNIT = 400
# One unit that was read much more often than others.
LONG_STORY = 2_000
ROUNDS = 40
P95 = 0.95
# Milliseconds that each may take at most, at this scale.
MOST_MS = { 'Today' => 200, 'tonight' => 200, 'units' => 100, 'units found' => 100, 'units to mind' => 100, 'find' => 100, 'circuits' => 100,
            'unit sheet' => 100, 'long story' => 100, 'job' => 150, 'job list' => 100, 'closed jobs' => 100, 'shelf' => 100,
            'due' => 200, 'crank round' => 150, 'parts' => 100, 'temporary' => 100, 'sisters' => 150, 'grounds' => 150 }.freeze
# All thresholds of the fleet from what is kept of each unit, in a command of its own, against the sums alone on one core.
MOST_OF_SUMS = 2.0
# Its own time against that of its SQL alone.
MOST_OF_SQL = { 'Today' => 3.0 }.freeze

def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

# The oldest job of the demo fleet with battery tests and drops, copied with its readings and judgements from unit to unit.
FILL = <<~SQL
  set session_replication_role = 'replica';
  create temporary table pattern as select * from unit where number = 'B-14';
  create temporary table new_unit as select gen_random_uuid() as id, n from generate_series(1, %<units>d) as n;
  insert into unit (id, yard_id, number, name, kind, system_volt, arrangement, battery_count, usual_cranking_current_ampere,
                    alternator_rating_ampere, has_isolator, has_sense, unit_class_id)
    select new_unit.id, (select id from yard order by name offset n %% 4 limit 1), 'Z-' || n, name || ' ' || n, kind, system_volt, arrangement,
           battery_count, usual_cranking_current_ampere, alternator_rating_ampere, has_isolator, has_sense,
           (select id from unit_class order by make, model offset n %% (select count(*) from unit_class) limit 1) from new_unit, pattern;
  insert into unit_sheet (unit_id, sheet_id, version_id, during, overrides)
    select new_unit.id, sheet_id, version_id, during, overrides from new_unit, unit_sheet where unit_id = (select id from pattern);
  insert into unit_sheet (unit_id, sheet_id, version_id, during, overrides)
    select new_unit.id, sheet_id, version_id, during, overrides from new_unit, unit_sheet
    where unit_id = (select id from unit where number = 'A-02') and n %% 2 = 0;
  insert into stop_finding (unit_id, sheet_id, device_uuid, label, findings_digest, findings, words)
    select new_unit.id, sheet_id, device_uuid, label, findings_digest || n %% 50, findings, words from new_unit, stop_finding
    where unit_id = (select id from unit where number = 'A-02') and n %% 2 = 0;
  insert into place (unit_id, key, item_uuid, pin, label)
    select new_unit.id, key, item_uuid, pin, label from new_unit, place where unit_id = (select id from pattern);
  create temporary table new_battery as select gen_random_uuid() as id, new_unit.id as unit_id, n, position
    from new_unit, (values ('A'), ('B')) as positions(position);
  insert into battery (id, tag, type, rating_ampere, rating_standard) select id, 'Z' || n || position, 'flooded', 800, 'SAE' from new_battery;
  insert into fitting (battery_id, unit_id, position, during)
    select id, unit_id, position, tstzrange(now() - interval '3 years', null) from new_battery;
  create temporary table new_job as select gen_random_uuid() as id, new_unit.id as unit_id, k, now() - (k * interval '70 days') as at
    from new_unit, generate_series(1, 8) as k;
  insert into job (id, unit_id, state, complaint, opened_by_id, opened_at, ended_at)
    select id, unit_id, case when k = 1 and random() < 0.04 then 'open' else 'closed' end, 'Cranks slow', 1, at, at from new_job;
  insert into job_symptom (job_id, work, situation) select id, 'starting', 'cranking' from new_job;
  insert into job_event (job_id, kind, person_id, at) select id, 'opened', 1, at from new_job;
  create temporary table new_reading as
    select gen_random_uuid() as id, new_job.id as job_id, new_job.unit_id, at + (r * interval '3 minutes') as taken_at, r,
           case when r %% 10 < 4 then 'battery_test' when r %% 10 < 7 then 'ground_drop' else 'posts_cranking' end as test_key,
           case when r %% 10 < 4 then (array['A', 'B'])[1 + r %% 2] end as position, random() as luck
    from new_job, generate_series(1, %<readings>d / 8) as r;
  insert into reading (id, unit_id, job_id, battery_id, person_id, test_key, quantity, position, value, value_text, unit_symbol, state,
                       instrument, taken_at, conditions)
    select new_reading.id, new_reading.unit_id, job_id, new_battery.id, 1, test_key,
           case test_key when 'battery_test' then 'current' else 'voltage' end, new_reading.position,
           case test_key when 'battery_test' then 650 + 200 * luck when 'ground_drop' then 0.05 + 0.2 * luck else 9.5 + 2 * luck end,
           '1', case test_key when 'battery_test' then 'A' else 'V' end, case test_key when 'battery_test' then 'off' else 'cranking' end,
           case test_key when 'battery_test' then 'battery tester' else 'multimeter' end, taken_at,
           case test_key when 'posts_cranking' then jsonb_build_object('rest_volt', 12.3 + 0.4 * luck, 'battery_temperature_celsius', 8)
                         else '{}'::jsonb end
    from new_reading left join new_battery on new_battery.unit_id = new_reading.unit_id and new_battery.position = new_reading.position;
  insert into withdrawal (reading_id, reason, person_id) select id, 'other battery', 1 from new_reading where luck < 0.01;
  insert into judgement (reading_id, verdict, validity, weight, snapshot, core_version, made_at)
    select id, (array['sound', 'sound', 'sound', 'watch', 'act'])[1 + floor(luck * 5)::int], 'valid', 'support', snapshot.it, '0.1.0', taken_at
    from new_reading, lateral (select jsonb_build_object('summary', '0.12 V, under 0.2 V', 'limits', jsonb_build_array()) as it) as snapshot;
  analyze;
SQL

# More of the last job of one unit.
LONG = <<~SQL
  set session_replication_role = 'replica';
  create temporary table more_reading as
    select gen_random_uuid() as new_id, reading.* from reading, generate_series(1, 40)
    where unit_id = (select id from unit where number = 'Z-7') limit %<more>d;
  insert into reading (id, unit_id, job_id, battery_id, person_id, test_key, quantity, position, value, value_text, unit_symbol, state,
                       instrument, taken_at)
    select new_id, unit_id, job_id, battery_id, person_id, test_key, quantity, position, value, value_text, unit_symbol, state, instrument,
           taken_at - random() * interval '300 days' from more_reading;
  insert into judgement (reading_id, verdict, validity, weight, snapshot, core_version, made_at)
    select new_id, verdict, validity, weight, snapshot, core_version, made_at from more_reading join judgement on reading_id = more_reading.id;
SQL

# A request as a signed-in electrician, in this process.
def asked(path)
  account = Server::Models::Account.first(role: 'electrician')
  @token ||= Server::Models::Session.begin_for(account, from: { device: 'bench', client_address: '127.0.0.1' }, now: Time.now.utc)
  reply = Rack::MockRequest.new(@router ||= Server::Router.new).request('GET', path, 'HTTP_COOKIE' => "#{Server::SessionCookie::NAME}=#{@token}")
  raise "#{path}: #{reply.status} #{reply.body[0, 200]}" unless reply.status == 200

  reply
end

def milliseconds
  start = now
  yield
  (now - start) * 1000
end

def p95_of(times) = times.sort[(times.size * P95).ceil - 1]

# What a page asks the database, and what that takes by itself.
def statements(path)
  heard = []
  Server::DB.loggers << Class.new { define_method(:info) { |text| heard << text.sub(/\A\([\d.]+s\) /, '') } }.new
  asked(path)
  Server::DB.loggers.clear
  heard.grep(/\Aselect/i)
end

def measured(path)
  asked(path)
  sql = statements(path)
  { page: p95_of(Array.new(ROUNDS) { milliseconds { asked(path) } }),
    sql: p95_of(Array.new(ROUNDS) { milliseconds { sql.each { |one| Server::DB.fetch(one).all } } }) }
end

def paths(number, long: number)
  unit, story = [number, long].map { |one| Server::Models::Unit.first(number: one) }
  job = Server::Models::Job.where(unit_id: unit.id).order(Sequel.desc(:opened_at)).first
  { 'Today' => '/api/today', 'tonight' => '/api/tonight', 'units' => '/api/units', 'units found' => "/api/units?q=#{number}",
    'units to mind' => '/api/units?state=batteries', 'find' => "/api/find?q=#{number}", 'circuits' => '/api/circuits',
    'unit sheet' => "/api/units/#{unit.id}", 'long story' => "/api/units/#{story.id}", 'job' => "/api/jobs/#{job.id}",
    'job list' => '/api/jobs', 'closed jobs' => '/api/jobs?state=closed', 'shelf' => '/api/shelf',
    'temporary' => '/api/units?state=temporary', 'sisters' => "/api/jobs/#{job.id}/sisters", 'grounds' => "/api/units/#{unit.id}/grounds",
    'due' => '/api/due', 'crank round' => "/api/units/#{unit.id}/rounds/start", 'parts' => "/api/units/#{unit.id}/parts" }
end

def memory_mb = File.read('/proc/self/status')[/VmRSS:\s+(\d+)/, 1].to_i / 1024

small = paths('B-14').transform_values { |path| measured(path)[:page] }
before_mb = memory_mb
start = now
Sequel.connect(ENV.fetch('OWNER_URL')) do |owner|
  owner.run(format(FILL, units: UNITS, readings: READINGS_A_UNIT))
  owner.run(format(LONG, more: LONG_STORY - READINGS_A_UNIT))
end
rows = Server::DB[:reading].count
puts format('%<units>d units, %<rows>d readings, filled in %<took>.0f s', units: Server::Models::Unit.count, rows: rows, took: now - start)
rebuilt = milliseconds { Server::Models::BatteryState.work_out_all }
puts format('state of every battery worked out anew: %<took>.1f s', took: rebuilt / 1000)
Sequel.connect(ENV.fetch('OWNER_URL')) { |owner| owner.run('analyze battery_state') }
# The sums of a threshold, of all its mornings and of what helps, without any database: the floor of the command.
def sums_ms(units)
  inputs = Server::Queries::StartInputs.of_each(Server::Models::Unit.standing(false).order(:id).limit(units).all)
  rows = Server::Models::StartThreshold.where(unit_id: inputs.map { |one| one.unit.id }).to_hash(:unit_id)
  past = Server::Models::StartThreshold::Past.new(rows.keys)
  rows.each_value { |row| past.of(row) }
  fleet = Server::Models::FleetPrior.now
  charge = Wattomneum::ColdStart::Evening.charge(nights_parked: 1, capacity_ampere_hour: 100.0)
  limits = Server::Queries::FleetRules.new.limits
  milliseconds do
    inputs.each do |one|
      found = one.call or next
      threshold = Wattomneum::ColdStart::Threshold.new(found.inputs)
      Server::Models::StartThreshold::OF_READINGS.each { |key| threshold.public_send(key) }
      one.remedies(found, charge: charge, limits: limits) if threshold.variance.positive?
      rows[one.unit.id].told(past, fleet: fleet)
    end
  end
end

Winters.fill
states = milliseconds { Server::Models::StartState.work_out_each(Server::Models::Unit.standing(false).select_map(:id)) }
standings = milliseconds { Server::Models::UnitStanding.work_out(Server::Models::Unit.standing(false).select_map(:id)) }
puts format('the board of all units worked out anew: %<took>.1f s', took: standings / 1000)
Sequel.connect(ENV.fetch('OWNER_URL')) { |owner| owner.run('analyze unit_standing') }
rebuild_s = `bin/work-out-anew --cold-starts`[/in ([\d.]+) s/, 1].to_f
slow_winters = Winters.measure
sums_s = sums_ms(500) * Server::Models::Unit.count / 500_000
puts format('crank tests of all units %<states>.0f s; their thresholds %<rebuild>.1f s on %<cores>d cores, the sums alone %<sums>.1f s on one',
            states: states / 1000, rebuild: rebuild_s, cores: Etc.nprocessors, sums: sums_s)
large = paths("Z-#{UNITS / 2}", long: 'Z-7').transform_values { |path| measured(path) }
large.each do |name, took|
  puts format('%<name>-14s p95 %<page>7.1f ms, its SQL %<sql>7.1f, on the demo fleet %<small>7.1f, at most %<most>d',
              name: name, **took, small: small.fetch(name), most: MOST_MS.fetch(name))
end
puts format('memory %<before>d MB before, %<after>d MB after', before: before_mb, after: memory_mb)
slow = large.select do |name, took|
  took[:page] > MOST_MS.fetch(name) || took[:page] > MOST_OF_SQL.fetch(name, Float::INFINITY) * [took[:sql], 5].max
end
over = [*slow.keys, *slow_winters, *('thresholds' if rebuild_s > MOST_OF_SUMS * sums_s)]
abort "Over what it may take: #{over.join(', ')}" if over.any?
