# frozen_string_literal: true

# How to get at a place on units of one class: written once, there for all of them. Struck out, never changed.
Sequel.migration do
  up do
    create_table(:access_note) do
      uuid :id, primary_key: true
      foreign_key :unit_class_id, :unit_class, type: :uuid, null: false
      String :place, null: false
      String :text, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :noted_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :ended_at
      constraint(:access_note_says_something, Sequel.lit("place <> '' and text <> ''"))
    end
    run 'create index access_note_standing on access_note (unit_class_id) where ended_at is null'
    run "create trigger audited after insert or update or delete on access_note for each row execute function note_in_audit('id')"
  end

  down { drop_table(:access_note) }
end
