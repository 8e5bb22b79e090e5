# frozen_string_literal: true

RSpec.describe 'Migrations', :committed do
  it 'run up, down and up again' do
    Sequel.extension :migration
    url = URI(ENV.fetch('OWNER_URL'))
    admin = Sequel.connect(url.dup.tap { |one| one.path = '/postgres' }.to_s)
    admin.run('drop database if exists migrations_spec with (force)')
    admin.run('create database migrations_spec')
    db = Sequel.connect(url.dup.tap { |one| one.path = '/migrations_spec' }.to_s)
    folder = File.join(Server::ROOT, 'server/db/migrate')
    Sequel::Migrator.run(db, folder)
    tables = db.tables
    Sequel::Migrator.run(db, folder, target: 0)
    expect(db.tables).to eq([:schema_info])
    Sequel::Migrator.run(db, folder)
    expect(db.tables).to match_array(tables)
  ensure
    db&.disconnect
    Que.connection = Server::DB
    admin.run('drop database if exists migrations_spec with (force)')
    admin.disconnect
  end
end
