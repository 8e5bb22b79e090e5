# frozen_string_literal: true

# What somebody will do for a unit before a dawn; and what each thing would win, kept with the threshold that it moves.
Sequel.migration do
  up do
    alter_table(:start_threshold) { add_column :remedies, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb") }
    create_table(:remedy_plan) do
      foreign_key :unit_id, :unit, type: :uuid, null: false
      Date :dawn, null: false
      String :key, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :planned_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[unit_id dawn key]
    end
    run "create trigger audited after insert or update or delete on remedy_plan for each row execute function note_in_audit('unit_id')"
  end

  down do
    drop_table(:remedy_plan)
    alter_table(:start_threshold) { drop_column :remedies }
  end
end
