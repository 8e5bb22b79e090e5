# frozen_string_literal: true

Sequel.migration do
  up do
    run 'create extension if not exists btree_gist'
    create_table(:battery) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      String :tag, null: false
      String :type, null: false
      Float :rating_ampere, null: false
      String :rating_standard, null: false
      Float :capacity_ampere_hour
      String :date_code
      Date :made_on
      Time :scrapped_at
      Integer :lock_version, null: false, default: 0
      index Sequel.function(:lower, :tag), unique: true, name: :battery_tag_key
      constraint(:battery_type_known, type: %w[flooded maintenance_free agm gel])
      constraint(:battery_standard_known, rating_standard: %w[SAE EN DIN IEC CA])
      constraint(:battery_rating_range) { (rating_ampere >= 100) & (rating_ampere <= 2000) }
    end
    create_table(:fitting) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :battery_id, :battery, type: :uuid, null: false
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :position, null: false
      column :during, :tstzrange, null: false
      constraint(:fitting_position_known, position: %w[A B C D])
      constraint(:fitting_during_not_empty, Sequel.lit('not isempty(during)'))
      exclude [[:battery_id, '='], [:during, '&&']], using: :gist, name: :fitting_battery_in_one_place
      exclude [[:unit_id, '='], [:position, '='], [:during, '&&']], using: :gist, name: :fitting_position_holds_one
    end
  end

  down { drop_table(:fitting, :battery) }
end
