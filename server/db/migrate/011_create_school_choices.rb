# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:school_choice) do
      String :question, primary_key: true
      String :answer, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    run "create trigger audited after insert or update or delete on school_choice for each row execute function note_in_audit('question')"
    run <<~SQL
      create or replace function note_in_audit() returns trigger language plpgsql as $$
      declare
        old_row jsonb := case when tg_op = 'INSERT' then null else to_jsonb(old) - 'password_hash' end;
        new_row jsonb := case when tg_op = 'DELETE' then null else to_jsonb(new) - 'password_hash' end;
      begin
        insert into audit (person_id, table_name, row_id, action, before, after)
        values (nullif(current_setting('wattomneum.person_id', true), '')::bigint, tg_table_name,
                coalesce(new_row, old_row) ->> coalesce(tg_argv[0], 'id'), lower(tg_op), old_row, new_row);
        return null;
      end $$
    SQL
  end

  down { drop_table(:school_choice) }
end
