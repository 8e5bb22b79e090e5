# frozen_string_literal: true

Sequel.migration do
  up do
    create_table(:yard) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :name, null: false, unique: true
      String :time_zone, null: false
    end
    create_table(:unit) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :yard_id, :yard, type: :uuid, null: false
      foreign_key :parent_id, :unit, type: :uuid
      String :number, null: false
      String :name, null: false
      String :kind, null: false
      Integer :system_volt, null: false
      String :arrangement, null: false
      Integer :battery_count, null: false
      Float :usual_cranking_current_ampere, null: false
      Float :alternator_rating_ampere
      TrueClass :has_isolator, null: false, default: true
      TrueClass :has_sense, null: false, default: true
      Time :retired_at
      Integer :lock_version, null: false, default: 0
      Time :created_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      index Sequel.function(:lower, :number), unique: true, name: :unit_number_key
      constraint(:unit_battery_arrangement,
                 Sequel.lit("(arrangement = 'single' and system_volt = 12 and battery_count = 1) or " \
                            "(arrangement = 'parallel' and system_volt = 12 and battery_count between 2 and 4) or " \
                            "(arrangement = 'series' and system_volt = 24 and battery_count = 2)"))
      constraint(:unit_cranking_current_range,
                 Sequel.lit('usual_cranking_current_ampere > 0 and usual_cranking_current_ampere <= 3000'))
      constraint(:unit_alternator_rating_range,
                 Sequel.lit('alternator_rating_ampere > 0 and alternator_rating_ampere <= 1000'))
    end
    create_table(:place) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :key, null: false
      String :label, null: false
      unique %i[unit_id key], name: :place_unit_key
    end
  end

  down { drop_table(:place, :unit, :yard) }
end
