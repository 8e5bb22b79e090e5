# frozen_string_literal: true

# Sheets while they are written: a head and rows as they were typed, each row with a version of its own, so that two people can write at once;
# what was done step by step, so that it can be undone.
Sequel.migration do
  up do
    create_table(:sheet_draft) do
      uuid :id, primary_key: true
      foreign_key :base_version_id, :sheet_version, type: :uuid
      jsonb :head, null: false
      Integer :head_version, null: false, default: 1
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :begun_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :ended_at
      foreign_key :version_id, :sheet_version, type: :uuid
    end
    create_table(:sheet_draft_row) do
      foreign_key :draft_id, :sheet_draft, type: :uuid, null: false
      uuid :item_uuid, null: false
      String :kind, null: false
      Float :place, null: false
      jsonb :typed, null: false
      Integer :row_version, null: false, default: 1
      TrueClass :gone, null: false, default: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :changed_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[draft_id item_uuid]
      constraint(:sheet_draft_row_kind, kind: %w[component wire])
    end
    create_table(:sheet_draft_step) do
      primary_key :id, type: :Bignum
      foreign_key :draft_id, :sheet_draft, type: :uuid, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      jsonb :before, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :undone_at
      index %i[draft_id person_id id]
    end
    run "create trigger audited after insert or update or delete on sheet_draft for each row execute function note_in_audit('id')"
  end

  down do
    %i[sheet_draft_step sheet_draft_row sheet_draft].each { |table| drop_table(table) }
  end
end
