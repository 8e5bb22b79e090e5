# frozen_string_literal: true

append_only = %i[reading withdrawal judgement condemnation job_event audit]

Sequel.migration do
  up do
    run <<~SQL
      create function refuse_change() returns trigger language plpgsql as $$
      begin
        raise exception '% is append-only: add a row that corrects or withdraws', tg_table_name using errcode = 'restrict_violation';
      end $$
    SQL
    append_only.each do |table|
      run "create trigger append_only before update or delete on #{table} for each row execute function refuse_change()"
      run "create trigger append_only_whole before truncate on #{table} for each statement execute function refuse_change()"
    end
  end

  down do
    append_only.each do |table|
      run "drop trigger append_only on #{table}"
      run "drop trigger append_only_whole on #{table}"
    end
    run 'drop function refuse_change()'
  end
end
