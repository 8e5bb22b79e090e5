# frozen_string_literal: true

# Since when a unit stands, and how many nights that was on a morning that was told.
Sequel.migration do
  up do
    alter_table(:unit) { add_column :parked_since, Date }
    alter_table(:morning) do
      add_column :nights_parked, Integer, null: false, default: 1
      add_constraint(:morning_nights_parked, Sequel.lit('nights_parked between 1 and 60'))
    end
  end

  down do
    alter_table(:morning) do
      drop_constraint :morning_nights_parked
      drop_column :nights_parked
    end
    alter_table(:unit) { drop_column :parked_since }
  end
end
