# frozen_string_literal: true

# What falls dead with each item of a circuit, worked out in the background where that takes longer than anybody waits.
Sequel.migration do
  change do
    create_table(:cause_table) do
      String :key, primary_key: true
      foreign_key :version_id, :sheet_version, type: :uuid, null: false
      column :overrides, :jsonb, null: false
      Integer :done, null: false, default: 0
      Integer :total, null: false
      column :dead_sets, :jsonb
      Time :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :version_id
      index :asked_at
      constraint(:cause_table_done_range) { (done >= 0) & (done <= total) }
    end
  end
end
