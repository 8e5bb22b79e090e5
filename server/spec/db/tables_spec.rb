# frozen_string_literal: true

require_relative '../../db/grants'

# What each table says of itself (server/db/tables.yml), against the database.
RSpec.describe Server::Grants do
  kinds = described_class::TABLES
  db = Server::DB

  def triggers(db)
    rows = db[:pg_trigger].join(:pg_class, oid: :tgrelid).where(tgisinternal: false)
    rows.select_map(%i[relname tgname]).group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
  end

  def may?(db, table, right) = db.get(Sequel.function(:has_table_privilege, "public.#{table}", right))

  it 'names every table there is, each once' do
    there = db.tables.map(&:to_s) - %w[schema_info]
    expect(kinds.values.flatten.sort).to eq(there.sort)
    expect(kinds.values.flatten.tally.values.uniq).to eq([1])
  end

  it 'is what the triggers do' do
    found = triggers(db)
    expect(found.select { |_, names| names.include?('append_only') && names.include?('append_only_whole') }.keys).to match_array(kinds['append_only'])
    expect(found.select { |_, names| names.include?('audited') }.keys).to match_array(kinds['audited'])
  end

  it 'is what the application may do' do
    kinds['append_only'].each do |table|
      expect([table, %w[select insert update delete truncate].select { |right| may?(db, table, right) }]).to eq([table, %w[select insert]])
    end
    (kinds['audited'] + kinds['scratch']).each { |table| expect([table, may?(db, table, 'truncate')]).to eq([table, false]) }
    expect(%w[insert update delete].select { |right| may?(db, 'schema_info', right) }).to eq([])
  end

  it 'leaves who, before and after of what a worker finds and of who is under a machine' do
    person = sign_in_as('electrician')
    job = open_job
    write(:post, "/api/jobs/#{job['id']}/under-machine", { somebody: true })
    seen = db[:audit].where(table_name: 'under_machine', row_id: job['id']).select_map(%i[person_id action])
    expect([status, seen]).to eq([200, [[person.id, 'insert']]])
  end
end
