# frozen_string_literal: true

# What a fleet judges by in place of what is shipped; the audit trail keeps what stood before.
Sequel.migration do
  up do
    create_table(:limit_override) do
      String :limit_id, primary_key: true
      Float :value, null: false
      String :reason, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    run "create trigger audited after insert or update or delete on limit_override for each row execute function note_in_audit('limit_id')"
  end

  down { drop_table(:limit_override) }
end
