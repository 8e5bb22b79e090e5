# frozen_string_literal: true

# What each battery is worth by its newest standing test, as a row of its own, written with the reading that changes it: lists of a large
# fleet read one row a battery, however many readings it has. Can be worked out anew at any time. And what sister units share: their class.
Sequel.migration do
  up do
    create_table(:battery_state) do
      foreign_key :battery_id, :battery, type: :uuid, primary_key: true, on_delete: :cascade
      foreign_key :test_id, :reading, type: :uuid
      Time :tested_at
      Float :health_percent
      String :verdict
      column :snapshot, :jsonb
      foreign_key :rest_id, :reading, type: :uuid
      Time :rest_at
      Float :rest_volt
    end
    run "create index battery_state_to_mind on battery_state (battery_id) where verdict in ('act', 'watch')"
    run "create index reading_battery_rest on reading (battery_id, taken_at desc) where test_key = 'rest_voltage'"
    run 'create index reading_unit_test on reading (unit_id, test_key, position, taken_at desc) where test_key is not null'
    create_table(:unit_class) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :make, null: false
      String :model, null: false
      index [Sequel.function(:lower, :make), Sequel.function(:lower, :model)], unique: true, name: :unit_class_key
      constraint(:unit_class_named, Sequel.lit("make <> '' and model <> ''"))
    end
    alter_table(:unit) do
      add_foreign_key :unit_class_id, :unit_class, type: :uuid
      add_index :unit_class_id, name: :unit_class_of_units
    end
    run "create trigger audited after insert or update or delete on unit_class for each row execute function note_in_audit('id')"
  end

  down do
    alter_table(:unit) { drop_column :unit_class_id }
    drop_table(:unit_class)
    run 'drop index reading_battery_rest, reading_unit_test'
    drop_table(:battery_state)
  end
end
