# frozen_string_literal: true

Sequel.migration do
  change do
    create_table(:request) do
      uuid :id, primary_key: true
      foreign_key :person_id, :account, type: :Bignum, null: false
      String :body_digest, null: false
      Integer :status
      column :reply, :jsonb
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :at
    end
  end
end
