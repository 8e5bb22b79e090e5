# frozen_string_literal: true

# How far the fleet's readings have been judged again after a limit or a school changed.
Sequel.migration do
  change do
    create_table(:rejudging) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :why, null: false
      Integer :system_volt
      Integer :done, null: false, default: 0
      Integer :total, null: false
      Time :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :finished_at
      index :asked_at
    end
  end
end
