# frozen_string_literal: true

# Fills a database to 5,000 units and 2,000,000 readings and times what people open, request by request, beside the same on the demo fleet.
require 'rack/mock'
require_relative '../server/boot'
require_relative '../demo/load'

UNITS = ENV.fetch('UNITS', 5_000).to_i
READINGS_A_UNIT = 400
ROUNDS = 7
MOST_RATIO = 6.0

def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

# The oldest job of the demo fleet with battery tests and drops, copied with its readings and judgements from unit to unit.
FILL = <<~SQL
  set session_replication_role = 'replica';
  create temporary table pattern as select * from unit where number = 'B-14';
  create temporary table new_unit as select gen_random_uuid() as id, n from generate_series(1, %<units>d) as n;
  insert into unit (id, yard_id, number, name, kind, system_volt, arrangement, battery_count, usual_cranking_current_ampere,
                    alternator_rating_ampere, has_isolator, has_sense)
    select new_unit.id, yard_id, 'Z-' || n, name || ' ' || n, kind, system_volt, arrangement, battery_count, usual_cranking_current_ampere,
           alternator_rating_ampere, has_isolator, has_sense from new_unit, pattern;
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
                       instrument, taken_at)
    select new_reading.id, new_reading.unit_id, job_id, new_battery.id, 1, test_key,
           case test_key when 'battery_test' then 'current' else 'voltage' end, new_reading.position,
           case test_key when 'battery_test' then 650 + 200 * luck when 'ground_drop' then 0.05 + 0.2 * luck else 9.5 + 2 * luck end,
           '1', case test_key when 'battery_test' then 'A' else 'V' end, case test_key when 'battery_test' then 'off' else 'cranking' end,
           case test_key when 'battery_test' then 'battery tester' else 'multimeter' end, taken_at
    from new_reading left join new_battery on new_battery.unit_id = new_reading.unit_id and new_battery.position = new_reading.position;
  insert into withdrawal (reading_id, reason, person_id) select id, 'other battery', 1 from new_reading where luck < 0.01;
  insert into judgement (reading_id, verdict, validity, weight, snapshot, core_version, made_at)
    select id, (array['sound', 'sound', 'sound', 'watch', 'act'])[1 + floor(luck * 5)::int], 'valid', 'support', snapshot.it, '0.1.0', taken_at
    from new_reading, lateral (select jsonb_build_object('summary', '0.12 V, under 0.2 V', 'limits', jsonb_build_array()) as it) as snapshot;
  analyze;
SQL

# A request as a signed-in electrician, in this process.
def asked(path)
  account = Server::Models::Account.first(role: 'electrician')
  @token ||= Server::Models::Session.begin_for(account, from: { device: 'bench', client_address: '127.0.0.1' }, now: Time.now.utc)
  reply = Rack::MockRequest.new(@router ||= Server::Router.new).request('GET', path, 'HTTP_COOKIE' => "#{Server::SessionCookie::NAME}=#{@token}")
  raise "#{path}: #{reply.status} #{reply.body[0, 200]}" unless reply.status == 200

  reply
end

def median_ms(path)
  asked(path)
  Array.new(ROUNDS) do
    start = now
    asked(path)
    (now - start) * 1000
  end.sort[ROUNDS / 2]
end

def paths(number)
  unit = Server::Models::Unit.first(number: number)
  job = Server::Models::Job.where(unit_id: unit.id).order(Sequel.desc(:opened_at)).first
  { 'unit sheet' => "/api/units/#{unit.id}", 'job' => "/api/jobs/#{job.id}", 'find' => "/api/find?q=#{number}", 'job list' => '/api/jobs',
    'closed jobs' => '/api/jobs?state=closed', 'Today' => '/api/today', 'units' => '/api/units' }
end

small = paths('B-14').transform_values { |path| median_ms(path) }
start = now
Sequel.connect(ENV.fetch('OWNER_URL')) { |owner| owner.run(format(FILL, units: UNITS, readings: READINGS_A_UNIT)) }
rows = Server::DB[:reading].count
puts format('%<units>d units, %<rows>d readings, filled in %<took>.0f s', units: Server::Models::Unit.count, rows: rows, took: now - start)
large = paths("Z-#{UNITS / 2}").transform_values { |path| median_ms(path) }
large.each do |name, took|
  puts format('%<name>-12s %<large>8.1f ms, on the demo fleet %<small>7.1f ms', name: name, large: took, small: small.fetch(name))
end
slow = ['unit sheet', 'job', 'find', 'job list', 'closed jobs'].select { |name| large.fetch(name) > MOST_RATIO * [small.fetch(name), 10].max }
abort "Grows with the fleet: #{slow.join(', ')}" if slow.any?
