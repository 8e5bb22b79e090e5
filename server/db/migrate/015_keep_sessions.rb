# frozen_string_literal: true

# Sessions are rows that end here, not promises in a cookie. Wrong passwords are counted for every address that is tried, known or not.
Sequel.migration do
  up do
    create_table(:session) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :account_id, :account, type: :Bignum, null: false
      String :token_digest, null: false, unique: true
      String :device, null: false, default: ''
      String :client_address, null: false, default: ''
      Time :begun_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :seen_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :ended_at
      String :ended_because
      index :account_id
      index :ended_at
      constraint(:session_end_has_reason, Sequel.lit('(ended_at is null) = (ended_because is null)'))
    end
    create_table(:sign_in_try) do
      String :kind, null: false
      String :key, null: false
      Integer :count, null: false, default: 1
      Time :since, null: false
      primary_key %i[kind key]
      index :since
      constraint(:sign_in_try_kind_known, kind: %w[login client])
    end
    drop_table(:account_lockouts, :account_login_failures)
    alter_table(:account) { drop_column :sessions_from }
  end

  down do
    alter_table(:account) { add_column :sessions_from, :timestamptz }
    create_table(:account_login_failures) do
      foreign_key :id, :account, primary_key: true, type: :Bignum, on_delete: :cascade
      Integer :number, null: false, default: 1
    end
    create_table(:account_lockouts) do
      foreign_key :id, :account, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false
      Time :deadline, null: false, default: Sequel.lit("now() + interval '15 minutes'")
      Time :email_last_sent
    end
    drop_table(:sign_in_try, :session)
  end
end
