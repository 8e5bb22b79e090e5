# frozen_string_literal: true

# E-mails are kept as they are looked up, in small letters. Yards are audited like the rest. A blocked person or a changed password
# ends the sessions begun before.
Sequel.migration do
  up do
    alter_table(:account) { add_column :sessions_from, :timestamptz }
    run 'update account set email = lower(email)'
    run 'create trigger audited after insert or update or delete on yard for each row execute function note_in_audit()'
  end

  down do
    run 'drop trigger audited on yard'
    alter_table(:account) { drop_column :sessions_from }
  end
end
