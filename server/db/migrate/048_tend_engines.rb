# frozen_string_literal: true

# What is done on a spark engine and what it is; faults with which a unit will not stop, as last worked out; automatic start, locked out on a job.
Sequel.migration do
  up do
    create_table(:engine_entry) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid
      uuid :device_uuid
      String :craft, null: false
      String :kind, null: false
      jsonb :said, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :struck_at
      foreign_key :struck_by_id, :account, type: :Bignum
      String :struck_because
      constraint(:engine_entry_craft, craft: %w[kill plugs cap sum])
      index %i[unit_id craft at]
    end
    create_table(:stop_finding) do
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :sheet_id, :sheet, type: :uuid, null: false
      uuid :device_uuid, null: false
      String :label, null: false
      String :findings_digest, null: false
      Integer :findings, null: false
      Time :found_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[unit_id sheet_id device_uuid]
    end
    alter_table(:unit) { add_column :automatic_start, TrueClass, null: false, default: false }
    alter_table(:disturbance) { add_column :lockout, TrueClass, null: false, default: false }
    run "create trigger audited after insert or update or delete on engine_entry for each row execute function note_in_audit('id')"
  end

  down do
    alter_table(:disturbance) { drop_column :lockout }
    alter_table(:unit) { drop_column :automatic_start }
    %i[stop_finding engine_entry].each { |table| drop_table(table) }
  end
end
