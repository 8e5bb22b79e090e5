# frozen_string_literal: true

# Where a unit works decides how soon its grounds are looked after again; a second ground from the alternator's case is on its ground map, so
# that the next person knows of it.
Sequel.migration do
  up do
    alter_table(:unit) do
      add_column :exposure, String, null: false, default: 'dry'
      add_constraint(:unit_exposure_known, exposure: %w[dry salt])
    end
    create_table(:second_ground) do
      uuid :id, primary_key: true
      foreign_key :unit_id, :unit, type: :uuid, null: false
      Float :section_mm2, null: false
      String :note, null: false, default: ''
      foreign_key :person_id, :account, type: :Bignum, null: false
      Time :added_at, null: false, default: Sequel::CURRENT_TIMESTAMP
      Time :removed_at
      String :removed_because
      constraint(:second_ground_section, Sequel.lit('section_mm2 between 1 and 240'))
      constraint(:second_ground_removal_whole, Sequel.lit('(removed_at is null) = (removed_because is null)'))
    end
    run 'create unique index second_ground_one on second_ground (unit_id) where removed_at is null'
    run "create trigger audited after insert or update or delete on second_ground for each row execute function note_in_audit('unit_id')"
  end

  down do
    drop_table(:second_ground)
    alter_table(:unit) do
      drop_constraint :unit_exposure_known
      drop_column :exposure
    end
  end
end
