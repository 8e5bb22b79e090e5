# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:job) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      Integer :number, null: false, identity: true, unique: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :state, null: false, default: 'open'
      String :family, null: false
      String :complaint, null: false
      String :seen, null: false, default: ''
      column :lamps, 'text[]', null: false, default: Sequel.lit("'{}'::text[]")
      String :parked_missing
      foreign_key :opened_by_id, :account, type: :Bignum, null: false
      Time :opened_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :ended_at
      Integer :lock_version, null: false, default: 0
      index %i[unit_id opened_at]
      constraint(:job_state_known, state: %w[open parked closed cancelled])
      constraint(:job_family_known, family: %w[starting charging])
      constraint(:job_complaint_said, Sequel.lit('length(complaint) > 0'))
      constraint(:job_parked_names_what_is_missing, Sequel.lit("state <> 'parked' or length(parked_missing) > 0"))
    end
    create_table(:attempt) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :job_id, :job, type: :uuid, null: false
      String :what, null: false
      String :by_whom, null: false, default: ''
      String :result, null: false, default: ''
      TrueClass :fitted_without_diagnosis, null: false, default: false
    end
    create_table(:job_event) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :job_id, :job, type: :uuid, null: false
      String :kind, null: false
      String :reason, null: false, default: ''
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:job_event_kind_known, kind: %w[opened parked closed reopened cancelled])
    end
  end

  down { drop_table(:job_event, :attempt, :job) }
end
