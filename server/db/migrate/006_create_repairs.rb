# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:repair) do
      uuid :id, primary_key: true
      foreign_key :job_id, :job, type: :uuid, null: false
      foreign_key :failing_reading_id, :reading, type: :uuid
      foreign_key :person_id, :account, type: :Bignum, null: false
      String :element, null: false
      String :position
      String :place, null: false, default: ''
      String :cause, null: false
      String :action, null: false
      String :parts, null: false, default: ''
      Integer :minutes, null: false
      TrueClass :temporary, null: false, default: false
      String :temporary_reason
      Date :temporary_until
      Time :made_permanent_at
      Time :made_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[job_id made_at]
      constraint(:repair_minutes_range) { (minutes >= 0) & (minutes <= 6000) }
      constraint(:repair_temporary_has_limit,
                 Sequel.lit('not temporary or (temporary_until is not null and length(temporary_reason) > 0)'))
    end
    create_table(:disturbance) do
      uuid :id, primary_key: true
      foreign_key :job_id, :job, type: :uuid, null: false
      foreign_key :repair_id, :repair, type: :uuid
      String :what, null: false
      Time :put_back_at
      foreign_key :put_back_by_id, :account, type: :Bignum
      Time :noted_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :job_id
      constraint(:disturbance_named, Sequel.lit('length(what) > 0'))
      constraint(:disturbance_put_back_by_someone, Sequel.lit('(put_back_at is null) = (put_back_by_id is null)'))
    end
    create_table(:condemnation) do
      uuid :id, primary_key: true
      foreign_key :job_id, :job, type: :uuid, null: false
      foreign_key :battery_id, :battery, type: :uuid
      foreign_key :person_id, :account, type: :Bignum, null: false
      String :element, null: false
      String :position
      String :override_reason
      column :ladder, :jsonb, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :job_id
    end
  end

  down { drop_table(:condemnation, :disturbance, :repair) }
end
