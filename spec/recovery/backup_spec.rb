# frozen_string_literal: true

require 'open3'

# What is backed up comes back, row by row, or nothing is touched.
RSpec.describe 'Backup and restore' do
  before { DemoFleet.fresh }

  after do
    as_admin { |db| db.run("drop database if exists #{restored} with (force)") }
    FileUtils.remove_entry(folder)
  end

  let(:folder) { Dir.mktmpdir }
  let(:file) { File.join(folder, 'fleet.backup') }
  let(:restored) { 'restored_spec' }

  def urls(name) = %w[OWNER_URL DATABASE_URL].to_h { |key| [key, URI(ENV.fetch(key)).tap { |url| url.path = "/#{name}" }.to_s] }
  def as_admin(&block) = Sequel.connect(URI(ENV.fetch('OWNER_URL')).tap { |url| url.path = '/postgres' }.to_s, &block)

  def run(*command, **environment)
    said, status = Open3.capture2e({ 'STATE_DIR' => folder }.merge(environment.transform_keys(&:to_s)), *command)
    [status.exitstatus, said]
  end

  def back_up = run('bin/backup', file, OWNER_URL: ENV.fetch('OWNER_URL'))
  def restore(*rest) = run('bin/restore', file, *rest, **urls(restored).transform_keys(&:to_sym))

  # Row count and digest of every table.
  def content(url)
    Sequel.connect(url) do |db|
      (db.tables - db.tables.grep(/\Aque_lockers/)).to_h do |table|
        digest = Sequel.lit("md5(coalesce(string_agg(md5(t::text), '' order by t::text), ''))")
        [table, db.from(Sequel.as(table, :t)).select(Sequel.function(:count).*.as(:n), digest.as(:digest)).first.values]
      end
    end
  end

  it 'brings back every row of every table, the rights and the triggers' do
    expect(back_up.first).to eq(0)
    code, said = restore
    expect([code, said]).to match([0, include('Restored')])
    before = content(ENV.fetch('OWNER_URL'))
    expect(before.values.sum(&:first)).to be > 1_000
    expect(content(urls(restored)['OWNER_URL'])).to eq(before)
    Sequel.connect(urls(restored)['DATABASE_URL']) do |app|
      expect { app[:reading].update(value_text: 'x') }.to raise_error(Sequel::DatabaseError, /permission denied/)
    end
  end

  it 'refuses a file that is not what was backed up, one without its digest, and a name that is taken' do
    back_up
    expect(back_up).to match([1, include('is there already')])
    File.write(file, 'x', mode: 'a')
    expect(restore).to match([1, include('is not what was backed up')])
    FileUtils.rm("#{file}.sha256")
    expect(restore).to match([1, include('.sha256 is missing')])
  end

  it 'refuses a database that holds something, unless told' do
    back_up
    restore
    expect(restore).to match([1, /holds \d+ people.*--replace.*Nothing was changed/m])
    expect(restore('--replace').first).to eq(0)
  end
end
