# frozen_string_literal: true

# Tables that a person's word stands in, and that could be changed without a trace (server/db/tables.yml).
append_only = %i[own_fact place stop_answer stop_proof]
audited = { sheet: 'id', sheet_version: 'id', stop_finding: 'unit_id', under_machine: 'job_id' }
# A password is never written down a second time; what a sheet says is long, and its own row keeps it.
audit = lambda do |left_out|
  bare = left_out.map { |name| " - '#{name}'" }.join
  <<~SQL
    create or replace function note_in_audit() returns trigger language plpgsql as $$
    declare
      old_row jsonb := case when tg_op = 'INSERT' then null else to_jsonb(old)#{bare} end;
      new_row jsonb := case when tg_op = 'DELETE' then null else to_jsonb(new)#{bare} end;
    begin
      insert into audit (person_id, table_name, row_id, action, before, after)
      values (nullif(current_setting('wattomneum.person_id', true), '')::bigint, tg_table_name,
              coalesce(new_row, old_row) ->> coalesce(tg_argv[0], 'id'), lower(tg_op), old_row, new_row);
      return null;
    end $$
  SQL
end

Sequel.migration do
  up do
    append_only.each do |table|
      run "create trigger append_only before update or delete on #{table} for each row execute function refuse_change()"
      run "create trigger append_only_whole before truncate on #{table} for each statement execute function refuse_change()"
    end
    run audit.call(%w[password_hash content])
    audited.each do |table, key|
      run "create trigger audited after insert or update or delete on #{table} for each row execute function note_in_audit('#{key}')"
    end
  end

  down do
    audited.each_key { |table| run "drop trigger audited on #{table}" }
    run audit.call(%w[password_hash])
    append_only.each do |table|
      run "drop trigger append_only on #{table}"
      run "drop trigger append_only_whole on #{table}"
    end
  end
end
