# frozen_string_literal: true

# The demo fleet taken back to before readings had points, and forward again: evidence is what it was.
RSpec.describe 'The migration to readings between any points', :long do
  kept = %i[reading withdrawal judgement repair condemnation job job_event place disturbance attempt]
  before_points = 20

  let(:owner_url) { URI(ENV.fetch('OWNER_URL')) }
  let(:db) { Sequel.connect(owner_url.dup.tap { |one| one.path = '/points_spec' }.to_s) }

  around do |example|
    DemoFleet.fresh
    Sequel.extension :migration
    admin = Sequel.connect(owner_url.dup.tap { |one| one.path = '/postgres' }.to_s)
    admin.run('drop database if exists points_spec with (force)')
    admin.run('create database points_spec')
    Sequel::Migrator.run(db, folder)
    copy_fleet
    example.run
  ensure
    db.disconnect
    Que.connection = Server::DB
    admin.run('drop database if exists points_spec with (force)')
    admin.disconnect
  end

  def folder = File.join(Server::ROOT, 'server/db/migrate')
  def migrate(target) = Sequel::Migrator.run(db, folder, target: target)

  def copy_fleet
    db.extension(:pg_json, :pg_array, :pg_range)
    db.run("set session_replication_role = 'replica'")
    (db.tables - %i[schema_info] - db.tables.grep(/\Aque_/)).each do |table|
      generated = db.schema(table).select { |_, column| column[:generated] }.map(&:first)
      rows = Server::DB[table].all.map { |row| row.except(*generated) }
      rows.each_slice(500) { |slice| db[table].overriding_system_value.multi_insert(slice) }
    end
    db.run("set session_replication_role = 'origin'")
  end

  # As a fleet was written before: pieces of the start loop read by tests of their own, repairs of parts by their old names, and no units
  # that the step after it made possible, which is undone first.
  def as_it_was
    without_hand_started_units
    db.run("set session_replication_role = 'replica'")
    old = { test_key: 'block_strap_drop', measured_by: nil, from_place_id: keyed_place('engine_block'), to_place_id: keyed_place('frame') }
    db[:reading].exclude(measured_by: nil).update(old)
    db[:repair].exclude(repair_unit: nil).update(element: 'block_strap', repair_unit: nil, label: nil, item_uuids: Sequel.lit("'{}'"))
    db[:place].where(key: nil).delete
    db.run("set session_replication_role = 'origin'")
  end

  # The unit's own, made where nothing was read there yet.
  def keyed_place(key)
    db[:unit].select_map(:id).each { |id| db[:place].insert_conflict.insert(unit_id: id, key: key, label: key) }
    db[:place].where(Sequel[:place][:unit_id] => Sequel[:reading][:unit_id], key: key).select(:id)
  end

  def without_hand_started_units
    hand_started = db[:unit].where(arrangement: 'none').select_map(:id)
    db.run("set session_replication_role = 'replica'")
    %i[place unit_sheet].each { |table| db[table].where(unit_id: hand_started).delete }
    db[:unit].where(id: hand_started).delete
    db.run("set session_replication_role = 'origin'")
  end

  def rows(tables) = tables.to_h { |table| [table, db[table].all.map { |row| row.except(:family) }.sort_by(&:to_s)] }

  it 'goes back and forth with every reading, judgement, repair and event as it was, and jobs still about what they were about' do
    as_it_was
    expect(db[:reading].where(test_key: 'block_strap_drop').count).to be > 20
    before = rows(kept)
    about = db[:job_symptom].select_hash(:job_id, :work)
    migrate(before_points)
    expect(db[:job].select_hash(:id, :family)).to eq(about)
    expect(db[:reading].columns).not_to include(:measured_by)
    migrate(nil)
    expect(rows(kept)).to eq(before)
    expect(db[:job_symptom].select_hash(:job_id, :work)).to eq(about)
  end

  it 'does not go back over readings, repairs and jobs that the older tables cannot hold' do
    as_it_was
    job = db[:job].first
    place = db[:place].where(unit_id: job[:unit_id]).select_map(:id)
    db[:reading].insert(id: SecureRandom.uuid, unit_id: job[:unit_id], job_id: job[:id], person_id: job[:opened_by_id], measured_by: 'volts',
                        from_place_id: place[0], to_place_id: place[1], quantity: 'voltage', value: 1.0, value_text: '1', state: 'key_on',
                        instrument: 'multimeter', taken_at: Time.now)
    expect { migrate(before_points) }.to raise_error(Sequel::Error, /there are readings between two points/)
    expect(db[:reading].where(measured_by: 'volts').count).to eq(1)
  end

  it 'does not go back over a job about something else' do
    as_it_was
    db.run("set session_replication_role = 'replica'") # the audit's counter was not copied
    db[:job_symptom].where(id: db[:job_symptom].get(:id)).update(work: 'auxiliary_load')
    expect { migrate(before_points) }.to raise_error(Sequel::Error, /jobs about other things than starting and charging/)
  end

  it 'does not go back over an engine without a starter' do
    expect { migrate(21) }.to raise_error(Sequel::Error, /units without a starter/)
  end
end
