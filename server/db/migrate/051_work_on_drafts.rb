# frozen_string_literal: true

# Long work on a draft, a list that is taken or a large step that is undone: done in lots behind the scenes, with how far it is; may be cancelled.
Sequel.migration do
  up do
    create_table(:draft_work) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :draft_id, :sheet_draft, type: :uuid, null: false, on_delete: :cascade
      foreign_key :person_id, :account, type: :Bignum, null: false
      String :kind, null: false
      jsonb :rows, null: false
      Bignum :step_id
      Integer :total, null: false
      Integer :done, null: false, default: 0
      Integer :left, null: false, default: 0
      Time :asked_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :cancelled_at
      Time :ended_at
      constraint(:draft_work_kind, kind: %w[list undo])
      index %i[draft_id asked_at]
      index :draft_id, unique: true, where: Sequel.lit('ended_at is null'), name: :draft_work_one_at_a_time
    end
  end

  down { drop_table(:draft_work) }
end
