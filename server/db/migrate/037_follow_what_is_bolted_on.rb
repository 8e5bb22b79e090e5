# frozen_string_literal: true

# Starters, alternators and relays as individuals: each stands in one place at a time, and a place holds one.
Sequel.migration do
  up do
    create_table(:asset) do
      uuid :id, primary_key: true
      String :kind, null: false
      String :tag, null: false
      Float :rating
      String :note, null: false, default: ''
      Time :scrapped_at
      String :scrapped_because
      index Sequel.function(:lower, :tag), unique: true, name: :asset_tag_key
      constraint(:asset_kind_known, kind: %w[starter alternator relay])
      constraint(:asset_has_a_tag, Sequel.lit("tag <> ''"))
      constraint(:asset_scrapped_whole, Sequel.lit('(scrapped_at is null) = (scrapped_because is null)'))
    end
    create_table(:asset_fitting) do
      uuid :id, primary_key: true, default: Sequel.function(:gen_random_uuid)
      foreign_key :asset_id, :asset, type: :uuid, null: false
      foreign_key :unit_id, :unit, type: :uuid, null: false
      String :place, null: false
      String :label, null: false
      Float :rating_before
      column :during, :tstzrange, null: false
      index :unit_id
      constraint(:asset_fitting_during_not_empty, Sequel.lit('not isempty(during)'))
      exclude [[:asset_id, '='], [:during, '&&']], using: :gist, name: :asset_in_one_place
      exclude [[:unit_id, '='], [:place, '='], [:during, '&&']], using: :gist, name: :asset_place_holds_one
    end
    %w[asset asset_fitting].each do |table|
      run "create trigger audited after insert or update or delete on #{table} for each row execute function note_in_audit('id')"
    end
  end

  down { drop_table(:asset_fitting, :asset) }
end
