# frozen_string_literal: true

# Which unit will not start on a cold morning: one row a unit, worked out from its readings and its mornings; the nights of a yard; what each
# morning was. Rows of start_threshold can be worked out anew at any time.
Sequel.migration do
  up do
    alter_table(:unit) do
      add_column :heat_aid, TrueClass, null: false, default: true
      add_column :control_unit, TrueClass, null: false, default: false
    end
    create_table(:night) do
      foreign_key :yard_id, :yard, type: :uuid, null: false
      Date :dawn, null: false
      Float :low_celsius, null: false
      Float :day_before_celsius
      Float :measured_celsius
      String :source, null: false
      Time :said_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[yard_id dawn]
      constraint(:night_source_known, source: %w[typed weather])
      constraint(:night_on_earth, Sequel.lit('low_celsius between -60 and 45 and coalesce(measured_celsius, 0) between -60 and 45'))
    end
    create_table(:morning) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      Date :dawn, null: false
      String :outcome, null: false
      Float :low_celsius
      Float :day_before_celsius
      Float :chance
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :said_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index %i[unit_id dawn], unique: true, name: :morning_unit_dawn_key
      index :dawn
      constraint(:morning_outcome_known, outcome: %w[started slow failed jumped helped other])
    end
    create_table(:start_threshold) do
      foreign_key :unit_id, :unit, type: :uuid, primary_key: true, on_delete: :cascade
      TrueClass :tested, null: false
      Time :read_at
      Float :reading_celsius, null: false
      Float :reading_variance, null: false
      Float :celsius, null: false
      Float :variance, null: false
      Float :degrees_per_charge, null: false
      Float :degrees_per_battery_degree, null: false
      Float :slow_celsius, null: false
      Float :capacity_ampere_hour, null: false
      Float :coldest_start
      Float :warmest_failure
      Integer :mornings, null: false, default: 0
      String :limited_by, null: false
      column :narrowing, :jsonb, null: false, default: Sequel.lit("'[]'::jsonb")
      Time :worked_out_at, null: false, default: Sequel::CURRENT_TIMESTAMP
    end
    create_table(:fleet_shift) do
      TrueClass :single, primary_key: true, default: true
      Float :celsius, null: false
      Float :ratio, null: false
      Time :worked_out_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      constraint(:fleet_shift_is_one, Sequel.lit('single'))
    end
    %w[night morning].each do |table|
      key = table == 'night' ? "('yard_id')" : '()'
      run "create trigger audited after insert or update or delete on #{table} for each row execute function note_in_audit#{key}"
    end
  end

  down do
    drop_table(:fleet_shift, :start_threshold, :morning, :night)
    alter_table(:unit) do
      drop_column :heat_aid
      drop_column :control_unit
    end
  end
end
