# frozen_string_literal: true

# Defects that were seen on the way and not mended. One that holds a unit keeps it in until a lead says otherwise.
Sequel.migration do
  up do
    create_table(:notice) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :job_id, :job, type: :uuid
      String :what, null: false
      String :place, null: false, default: ''
      String :severity, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :noticed_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :ended_at
      foreign_key :ended_by_id, :account, type: :Bignum
      String :ended_because
      constraint(:notice_severity_known, severity: %w[later soon holds])
      constraint(:notice_says_what, Sequel.lit("what <> ''"))
      constraint(:notice_end_whole, Sequel.lit('(ended_at is null) = (ended_by_id is null) and (ended_at is null) = (ended_because is null)'))
    end
    run 'create index notice_open on notice (unit_id) where ended_at is null'
    run "create trigger audited after insert or update or delete on notice for each row execute function note_in_audit('id')"
  end

  down { drop_table(:notice) }
end
