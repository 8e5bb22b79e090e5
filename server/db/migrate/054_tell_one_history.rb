# frozen_string_literal: true

# One history of a unit's start: what was changed on it that nothing else records, and up to which day a threshold has heard it, so that one more
# morning is told without all those before. What the fleet's mornings say of its units takes the place of a shift of all forecasts; all thresholds
# are heard anew from it in the night. The record of the list is counted from the few mornings that were named or failed.
Sequel.migration do
  up do
    create_table(:start_change) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :kind, null: false, text: true
      Date :on, null: false
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :said_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :unit_id
      constraint(:start_change_kind_known, kind: %w[oil heater])
    end
    alter_table(:start_threshold) do
      add_column :told_logs, :jsonb
      add_column :heard_day, Float
      add_column :before_last, :jsonb
      add_column :read_celsius, Float
      add_column :read_variance, Float
      drop_column :coldest_start
      drop_column :warmest_failure
    end
    drop_table(:fleet_shift)
    create_table(:fleet_prior) do
      TrueClass :single, primary_key: true, default: true
      Float :celsius, null: false
      Float :doubt, null: false
      Float :spread, null: false
      Float :reading_celsius, null: false
      Float :ratio, null: false
      column :classes, :jsonb, null: false, default: Sequel.lit("'{}'::jsonb")
      Time :worked_out_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:fleet_prior_is_one, Sequel.lit('single'))
    end
    run "create index morning_named_or_failed on morning (dawn) include (chance, outcome) where chance > 0.5 or outcome in ('failed', 'jumped')"
    run 'create trigger append_only before update or delete on start_change for each row execute function refuse_change()'
    run 'create trigger append_only_whole before truncate on start_change for each statement execute function refuse_change()'
  end

  down do
    run 'drop index morning_named_or_failed'
    drop_table(:fleet_prior, :start_change)
    create_table(:fleet_shift) do
      TrueClass :single, primary_key: true, default: true
      Float :celsius, null: false
      Float :ratio, null: false
      Time :worked_out_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:fleet_shift_is_one, Sequel.lit('single'))
    end
    alter_table(:start_threshold) do
      add_column :coldest_start, Float
      add_column :warmest_failure, Float
      drop_column :told_logs
      drop_column :heard_day
      drop_column :before_last
      drop_column :read_celsius
      drop_column :read_variance
    end
  end
end
