# frozen_string_literal: true

# What each fault would show at the points of a complaint's circuit, worked out in the background, once for a circuit, complaint and program.
Sequel.migration do
  change do
    create_table(:prediction_table) do
      String :key, primary_key: true
      Integer :done, null: false, default: 0
      Integer :total, null: false
      column :volts, :bytea
      Time :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :asked_at
      constraint(:prediction_table_done_range) { (done >= 0) & (done <= total) }
    end
  end
end
