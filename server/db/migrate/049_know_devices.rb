# frozen_string_literal: true

# Wrong passwords are counted for a person at a device that they have used, and apart for whoever comes from elsewhere; each waits longer and
# longer. A lead can let somebody in again.
Sequel.migration do
  up do
    create_table(:known_device) do
      foreign_key :account_id, :account, type: :Bignum, null: false, on_delete: :cascade
      String :token_digest, null: false
      Time :seen_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id token_digest]
      index :seen_at
    end
    alter_table(:account) { add_column :released_until, :timestamptz }
    run 'delete from sign_in_try'
    alter_table(:sign_in_try) do
      drop_constraint :sign_in_try_kind_known
      drop_column :since
      add_column :wrong_at, :timestamptz, null: false
      add_column :closed_until, :timestamptz
      add_index :wrong_at
      add_constraint :sign_in_try_kind_known, kind: %w[device stranger network change]
    end
  end

  down do
    run 'delete from sign_in_try'
    alter_table(:sign_in_try) do
      drop_constraint :sign_in_try_kind_known
      drop_column :closed_until
      drop_column :wrong_at
      add_column :since, :timestamptz, null: false
      add_index :since
      add_constraint :sign_in_try_kind_known, kind: %w[login client]
    end
    alter_table(:account) { drop_column :released_until }
    drop_table(:known_device)
  end
end
