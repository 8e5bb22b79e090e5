# frozen_string_literal: true

audited = %i[unit battery fitting job attempt repair disturbance account]

Sequel.migration do
  up do
    create_table(:audit) do
      primary_key :id, type: :Bignum
      Bignum :person_id
      String :table_name, null: false
      String :row_id, null: false
      String :action, null: false
      column :before, :jsonb
      column :after, :jsonb
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[table_name row_id]
    end
    run <<~SQL
      create function note_in_audit() returns trigger language plpgsql as $$
      declare
        old_row jsonb := case when tg_op = 'INSERT' then null else to_jsonb(old) - 'password_hash' end;
        new_row jsonb := case when tg_op = 'DELETE' then null else to_jsonb(new) - 'password_hash' end;
      begin
        insert into audit (person_id, table_name, row_id, action, before, after)
        values (nullif(current_setting('wattomneum.person_id', true), '')::bigint, tg_table_name,
                coalesce(new_row, old_row) ->> 'id', lower(tg_op), old_row, new_row);
        return null;
      end $$
    SQL
    audited.each do |table|
      run "create trigger audited after insert or update or delete on #{table} for each row execute function note_in_audit()"
    end
  end

  down do
    audited.each { |table| run "drop trigger audited on #{table}" }
    run 'drop function note_in_audit()'
    drop_table(:audit)
  end
end
