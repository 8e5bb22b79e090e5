# frozen_string_literal: true

RSpec.describe 'Evidence in the database' do
  before do
    sign_in_as('electrician')
    take(open_job['id'], 'posts_rest', '12.6')
  end

  let(:owner) { Sequel.connect(ENV.fetch('OWNER_URL')) }

  after { owner.disconnect }

  %i[reading judgement job_event audit].each do |table|
    it "cannot be changed or removed in #{table} by the application" do
      [-> { Server::DB[table].update(Server::DB[table].columns.last => nil) }, -> { Server::DB[table].delete }, lambda {
        Server::DB[table].truncate
      }].each do |change|
        expect do
          Server::DB.transaction(savepoint: true) do
            change.call
          end
        end.to raise_error(Sequel::DatabaseError, /permission denied|append-only/)
      end
    end
  end

  it 'cannot be changed by the owner either' do
    owner.transaction(rollback: :always) do
      owner[:audit].insert(table_name: 'unit', row_id: 'x', action: 'update')
      expect { owner.transaction(savepoint: true) { owner[:audit].where(row_id: 'x').update(action: 'insert') } }
        .to raise_error(Sequel::DatabaseError, /append-only/)
    end
  end

  it 'refuses a reading that says nothing and one that is infinite' do
    columns = Server::DB[:reading].first.except(:value, :overload)
    [{ value: nil }, { value: Float::INFINITY }].each do |odd|
      expect do
        Server::DB.transaction(savepoint: true) do
          Server::DB[:reading].insert(**columns, id: SecureRandom.uuid, **odd)
        end
      end.to raise_error(Sequel::CheckConstraintViolation)
    end
  end

  it 'audits who changed what, before and after' do
    unit = a_unit
    person = sign_in_as('lead')
    write(:patch, "/api/units/#{unit.id}", { **unit_fields(number: unit.number, name: 'Renamed'), lock_version: 0 })
    row = Server::DB[:audit].where(table_name: 'unit', row_id: unit.id, action: 'update').first
    expect([row[:person_id], row[:before]['name'], row[:after]['name']]).to eq([person.id, 'Spec bus', 'Renamed'])
  end

  it 'never audits a password' do
    expect(Server::DB[:audit].where(table_name: 'account').all.flat_map { |row| row[:after].keys }).not_to include('password_hash')
  end
end
