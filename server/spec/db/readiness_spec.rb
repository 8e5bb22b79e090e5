# frozen_string_literal: true

require_relative '../../db/readiness'

RSpec.describe Server::Readiness, :committed do
  let(:folder) { File.join(Server::ROOT, 'server/db/migrate') }

  it 'has nothing against the role that serves, on a current schema' do
    expect(described_class.objection(Server::DB, folder: folder)).to be_nil
  end

  it 'refuses the owner, and says what OWNER_URL is for' do
    Sequel.connect(ENV.fetch('OWNER_URL')) do |owner|
      expect(described_class.objection(owner, folder: folder)).to match(/owns the tables.*Set OWNER_URL.*migrations only/)
    end
  end

  it 'refuses a schema that is older, and says what to set' do
    Dir.mktmpdir do |newer|
      FileUtils.cp(Dir[File.join(folder, '*.rb')], newer)
      File.write(File.join(newer, '999_later.rb'), 'Sequel.migration { up { } }')
      expect(described_class.objection(Server::DB, folder: newer)).to match(/not current. Set OWNER_URL/)
      FileUtils.rm(Dir[File.join(newer, '*.rb')].drop(5))
      expect(described_class.objection(Server::DB, folder: newer)).to match(/newer .* update the program/)
    end
  end

  it 'leaves a web process no way to change evidence: not by its rights, not by the trigger, not by becoming another' do
    statements = ["update reading set value_text = 'x'", 'delete from reading', 'truncate reading', 'alter table reading disable trigger all',
                  'drop trigger append_only on reading', "set session_replication_role = 'replica'", 'set role app_owner', 'drop table reading']
    statements.each do |sql|
      expect do
        Server::DB.transaction(rollback: :always) do
          Server::DB.run(sql)
        end
      end.to raise_error(Sequel::DatabaseError, /permission denied|must be owner/)
    end
  end
end
