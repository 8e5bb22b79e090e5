# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:account) do
      primary_key :id, type: :Bignum
      String :email, null: false
      String :name, null: false
      String :role, null: false
      String :password_hash
      Integer :status_id, null: false, default: 2
      Time :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index Sequel.function(:lower, :email), unique: true, name: :account_email_key
      constraint(:account_role_known, role: %w[electrician lead driver reader])
    end
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
  end

  down { drop_table(:account_lockouts, :account_login_failures, :account) }
end
