# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:reading) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      foreign_key :job_id, :job, type: :uuid
      foreign_key :battery_id, :battery, type: :uuid
      foreign_key :from_place_id, :place, type: :uuid
      foreign_key :to_place_id, :place, type: :uuid
      foreign_key :supersedes_id, :reading, type: :uuid, unique: true
      foreign_key :person_id, :account, type: :Bignum, null: false
      String :correction_reason
      String :test_key, null: false
      String :quantity, null: false
      String :position
      Float :value
      TrueClass :overload, null: false, default: false
      column :cells, 'double precision[]', null: false, default: Sequel.lit("'{}'::double precision[]")
      String :observation
      String :value_text, null: false
      String :unit_symbol
      String :state, null: false
      String :instrument, null: false
      column :conditions, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      column :acknowledged, 'text[]', null: false, default: Sequel.lit("'{}'::text[]")
      Integer :repairs_before, null: false, default: 0
      Time :taken_at, null: false
      Time :received_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[job_id taken_at]
      index %i[unit_id test_key taken_at]
      constraint(:reading_says_something,
                 Sequel.lit('num_nonnulls(value, observation) = 1 or overload or cardinality(cells) > 0'))
      constraint(:reading_value_finite, Sequel.lit("value is null or (value < 'infinity' and value > '-infinity')"))
      constraint(:reading_correction_has_reason,
                 Sequel.lit('(supersedes_id is null) = (correction_reason is null) and ' \
                            'length(coalesce(correction_reason, $$-$$)) > 0'))
    end
    create_table(:withdrawal) do
      foreign_key :reading_id, :reading, type: :uuid, primary_key: true
      String :reason, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:withdrawal_has_reason, Sequel.lit('length(reason) > 0'))
    end
    create_table(:judgement) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :reading_id, :reading, type: :uuid, null: false
      String :verdict, null: false
      String :validity, null: false
      String :weight, null: false
      column :snapshot, :jsonb, null: false
      String :core_version, null: false
      String :occasion, null: false, default: 'taken'
      Time :made_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[reading_id made_at]
      constraint(:judgement_occasion_known, occasion: %w[taken judged_again])
    end
  end

  down { drop_table(:judgement, :withdrawal, :reading) }
end
